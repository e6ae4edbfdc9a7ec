import type { Family } from '../family/family';
import type { Material } from '../family/material';
import type { Rules } from '../rules/rule-set';
import { METHODS, type MethodName, type Residue, type StuckState } from './treatment';

/** What a stuck body offers to work with. */
export type StuckBody = {
  /** Of the smallest bore: it takes the most pressure to move its piston. */
  readonly boreMm: number;
  /** Bores that one pressure moves together. */
  readonly pots: number;
  readonly bore: 'blind' | 'through';
  readonly material: Material;
  /** A port behind the piston that a fitting can be screwed into. */
  readonly portBehind: boolean;
  /** A straight way from that port to the piston: a pin reaches it. */
  readonly straightPort: boolean;
  /** Plastic or rubber still on or in the body: reservoir, grommets, boots. */
  readonly plasticOrRubber: boolean;
};

/** How hard a method may be pressed: none, or a pressure with the force that it makes. `enough`: whether that is expected to move it. */
export type PushLimit = { readonly maxBar: number; readonly forceN: number; readonly neededBar: number; readonly enough: boolean };

/** One method on the ladder, in the order of trying. */
export type Rung = {
  readonly method: MethodName;
  readonly how: string;
  readonly hazard: string | null;
  readonly stopIf: string;
  readonly limit: PushLimit | null;
  readonly leaves: Residue;
  /** Usual wait, minutes; null where there is none. */
  readonly soakMin: number | null;
};

/** Force that usually starts a piston in each state, N; an order of magnitude from bench practice, shown as such. */
const EXPECTED_N: { readonly [S in StuckState]: number } = {
  free: 30,
  tight: 150,
  ridge: 600,
  seized: 2500,
  'cap-fused': 0,
  'bleed-tight': 0,
  'bleed-sheared': 0,
  'union-rounded': 0,
};

/** Force of a pressure on a bore, N. p in bar is p/10 MPa; A in mm². @source design, chapter 8 */
export const pushForceN = (boreMm: number, bar: number): number => (Math.PI * boreMm ** 2 * bar) / 40;
/** Pressure that makes a force on a bore, bar. */
export const pushPressureBar = (boreMm: number, forceN: number): number => (40 * forceN) / (Math.PI * boreMm ** 2);

/**
 * Methods to free a stuck unit, mildest first, as far as the body allows each. Petroleum and heat come before rubber and plastic only once these are off.
 * @param rules the highest pressures that the shop lets each method have
 * @returns at least one rung; an empty ladder when nothing is stuck
 */
export const ladderFor = (state: StuckState, body: StuckBody, rules: Rules): readonly Rung[] => {
  const push = (maxBar: number): PushLimit => {
    const neededBar = pushPressureBar(body.boreMm, EXPECTED_N[state]);
    const bar = Math.min(maxBar, neededBar);
    return { maxBar, forceN: pushForceN(body.boreMm, bar), neededBar, enough: neededBar <= maxBar };
  };
  const others = body.pots === 1 ? '' : ', pistons that move already held back by clamps';
  const all: { readonly [M in MethodName]?: Omit<Rung, 'method' | 'leaves'> | null } = {
    'push-inward': {
      how: 'Clean the mouth. With a wooden drift push the piston inward a few millimetres, to break it off the deposit, before anything pulls it out.',
      hazard: 'The spring pushes back: keep the drift in line.',
      stopIf: 'it does not give under hand weight, or the drift bruises the piston.',
      limit: null,
      soakMin: null,
    },
    'dress-ridge': {
      how: 'With the piston pushed in clear of it, take the ridge at the mouth down with fine paper on a finger, along the edge only.',
      hazard: 'Rust edges cut: gloves.',
      stopIf: 'the paper would touch where a cup runs.',
      limit: null,
      soakMin: null,
    },
    'soak-fluid': {
      how: 'Stand it mouth up and fill it with fresh brake fluid of its own kind; tap the body now and then.',
      hazard: 'Brake fluid strips paint and burns eyes: gloves, glasses, water and soap at hand.',
      stopIf: 'paint or plastic that stays starts to lift.',
      limit: null,
      soakMin: 720,
    },
    'soak-penetrant': body.plasticOrRubber
      ? null
      : {
          how: 'Penetrant at the mouth and into every port; stand it so that it creeps down to the piston.',
          hazard: 'Flammable, and it swells rubber: no flame in the bay, nothing of rubber that is to be kept.',
          stopIf: 'any rubber or plastic is still in the body.',
          limit: null,
          soakMin: 1440,
        },
    warm: body.plasticOrRubber
      ? null
      : {
          how: `Warm the body with a hot-air gun to what a hand cannot hold (about 80 °C)${body.material.startsWith('alloy') ? '; alloy grows twice as fast as an iron piston' : ''}; then try again while it is warm.`,
          hazard:
            'Heat near fluid, battery gas or aerosol is a fire, and heated fluid residue fumes: drain and wipe first, fresh air, no flame.',
          stopIf: 'it smokes, paint blisters, or you smell fluid.',
          limit: null,
          soakMin: null,
        },
    'low-air': body.portBehind
      ? {
          how: `Mouth down into a thick rag on wood${body.bore === 'through' ? ', the far piston held in by a clamp' : others}; all other ports plugged. Air at the port behind the piston, from nothing upward.`,
          hazard: 'Compressed air drives a piston like a shot: face it into rag and wood, lowest pressure that moves it, nobody in line.',
          stopIf: 'it has not moved at the limit: air stores what it is given. Go on to fluid.',
          limit: push(rules.freeAirMaxBar),
          soakMin: null,
        }
      : null,
    'pin-outlet': body.straightPort
      ? {
          how: 'A blunt brass pin through the port, thinner than its drilling, onto the piston; press or tap it.',
          hazard: 'The pin can burr the port and the piston’s face: brass only, in line.',
          stopIf: 'the pin bends or binds in the port.',
          limit: null,
          soakMin: null,
        }
      : null,
    'tap-wood': {
      how: 'Mouth down, knock the flange squarely on a block of wood, so that the piston walks out by its own weight.',
      hazard: 'Glasses: clips and pistons fly.',
      stopIf: 'the flange or an ear shows a mark: castings crack.',
      limit: null,
      soakMin: null,
    },
    'push-fluid': body.portBehind
      ? {
          how: `Fill it with fluid through the port until no air is left${body.bore === 'through' ? ', clamp the far piston' : others}; then push with a hand pump or another master, behind a shield.`,
          hazard:
            'A fine jet under pressure goes through skin: shield shut, never feel for a leak. Bleed all air first: air stores, fluid does not.',
          stopIf: 'the pressure falls without the piston moving (it leaks past), or the limit is reached.',
          limit: push(rules.freeFluidMaxBar),
          soakMin: null,
        }
      : null,
    'grease-gun':
      body.portBehind && !body.plasticOrRubber
        ? {
            how: 'Adapter threaded fully home in the port, gun pumped slowly, body clamped behind a shield. Last of all.',
            hazard: 'Grease-gun pressure exceeds hand force many times: shield, thread fully engaged, nobody in line.',
            stopIf: 'the thread weeps, the casting ticks, or the limit is reached.',
            limit: push(rules.freeGreaseMaxBar),
            soakMin: null,
          }
        : null,
    'work-to-fro': {
      how: 'A six-point socket that fits tightly; a little tighter, a little looser, and penetrant or fluid on the thread between.',
      hazard: 'It shears without warning: pull, do not push.',
      stopIf: 'it turns springy: it is about to shear.',
      limit: null,
      soakMin: null,
    },
    shock: {
      how: 'A flat punch squarely on the head, a few sharp taps, to break the rust in the thread.',
      hazard: 'Glasses: chips fly.',
      stopIf: 'the head mushrooms.',
      limit: null,
      soakMin: null,
    },
    extract: {
      how: 'Drill down the middle of the screw to just above its seat, square and slow; then a screw extractor, or pick the thread out.',
      hazard: 'Swarf and a snatching drill: clamp the body, glasses, no gloves near the chuck.',
      stopIf: 'the drill runs off the middle: the seat below it is what seals.',
      limit: null,
      soakMin: null,
    },
    'grip-union': {
      how: 'A flare-nut spanner while it has flats; then locking grips close to the body, line held still with a second spanner.',
      hazard: 'Knuckles: pull toward you.',
      stopIf: 'the line twists with the nut.',
      limit: null,
      soakMin: null,
    },
    'cut-line': {
      how: 'If the line is to be new: cut it off flush and put a six-point socket over the nut.',
      hazard: 'Old fluid runs out: tray under it, glasses.',
      stopIf: 'the line has to be kept.',
      limit: null,
      soakMin: null,
    },
  };
  return ORDER[state].flatMap((method) => {
    const rung = all[method];
    return rung == null ? [] : [{ method, leaves: METHODS[method].leaves, ...rung }];
  });
};

const PISTON: readonly MethodName[] = [
  'soak-fluid',
  'tap-wood',
  'low-air',
  'warm',
  'soak-penetrant',
  'pin-outlet',
  'push-fluid',
  'grease-gun',
];
/** Which methods a state calls for, mildest first. */
const ORDER: { readonly [S in StuckState]: readonly MethodName[] } = {
  free: [],
  tight: ['push-inward', 'tap-wood', 'low-air', 'soak-fluid', 'pin-outlet', 'push-fluid'],
  ridge: ['push-inward', 'dress-ridge', ...PISTON],
  seized: ['push-inward', ...PISTON],
  'cap-fused': ['soak-fluid', 'work-to-fro', 'shock', 'warm', 'soak-penetrant'],
  'bleed-tight': ['work-to-fro', 'shock', 'soak-penetrant', 'warm'],
  'bleed-sheared': ['soak-penetrant', 'warm', 'extract'],
  'union-rounded': ['grip-union', 'soak-penetrant', 'warm', 'cut-line'],
};

/** What a unit's geometry offers; what a person sees may say otherwise. */
export const bodyOffers = (family: Family): Pick<StuckBody, 'portBehind' | 'straightPort'> => {
  const ports = family.drawing?.ports ?? [];
  return {
    portBehind: ports.some((p) => p.kind === 'outlet' || p.kind === 'inlet'),
    straightPort: ports.some((p) => p.side === 'end'),
  };
};
