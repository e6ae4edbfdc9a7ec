import type { Family } from '../family';
import { clip, groove, port, running, seal, slot, span } from './parts';

/** A spring-loaded stem shuts the reservoir port in the bottom; a bent tab holds the thimble to the plunger. */
export const masterValve: Family = {
  name: 'master-valve',
  label: 'Valve master',
  bore: 'blind',
  brake: true,
  hasGap: true,
  proof: 'rig',
  chambers: [
    { id: 'outside', pressure: 'none' },
    { id: 'pressure', pressure: 'working' },
    { id: 'reservoir', pressure: 'reservoir' },
  ],
  slots: [
    slot('boot', 'boot', 'boot'),
    clip('clip'),
    slot('dished-washer', 'dished washer', 'dished-washer'),
    slot('pushrod', 'pushrod', 'pushrod'),
    slot('plunger', 'plunger', 'plunger'),
    seal('plunger-seal', 'plunger seal', 'plunger-seal', 'outside', 'pressure'),
    slot('thimble', 'thimble', 'spring-seat'),
    slot('spring', 'spring', 'spring'),
    slot('stem', 'valve stem', 'valve-stem'),
    slot('spacer', 'spacer', 'spacer'),
    slot('wave-washer', 'wave washer', 'wave-washer'),
    seal('end-seal', 'end seal', 'end-seal', 'pressure', 'reservoir'),
  ],
  drawing: {
    atMm: 19.05,
    lengthMm: 68,
    wallMm: 4.5,
    ports: [port('outlet', 'outlet', 60, 4, 'bottom'), port('feed', 'feed', 68, 5, 'end')],
    grooves: [groove('clip', 2.4, 1.4)],
    seals: [running('plunger-seal', 'pressure', 25, 22)],
    spans: {
      boot: span(-12, 1.5),
      circlip: span(2.5, 3.7),
      'dished-washer': span(4.2, 5.8),
      pushrod: span(-32, 9.5),
      plunger: span(6.2, 31),
      'plunger-seal': span(22.7, 27.3),
      thimble: span(31.2, 41),
      spring: span(33, 60.5),
      stem: span(36.5, 66.4),
      spacer: span(60.7, 62.7),
      'wave-washer': span(62.9, 64),
      'end-seal': span(65, 67.8),
    },
  },
};
