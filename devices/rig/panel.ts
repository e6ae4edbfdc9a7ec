import { options, type Panel } from '../panel';
import { UNIT_STATES } from './unit-states';

/** What the stand-in rig does wrong when it is told to. */
export const TROUBLES = {
  none: 'nothing',
  drop: 'drops its line',
  freeze: 'sends nothing',
  rubbish: 'sends rubbish',
  drift: 'its sensor drifts',
  spikes: 'its sensor jumps',
  stuck: 'keeps its pressure',
} as const;

/** The stand-in rig's own page: what it does wrong, and what it finds of a unit. */
export const rigPanel = (tags: readonly string[]): Panel => ({
  title: 'Stand-in rig',
  about:
    'It does wrong what it is told here, until it is told nothing. What it finds of a unit stays until it is told otherwise: it does not see that one was mended.',
  form: `<label>Goes wrong <select name="how">${options(TROUBLES)}</select></label> <button value="rig">Tell the rig</button>
<hr>
<label>Unit <input name="unit" list="tags" placeholder="SQ-0001"></label><datalist id="tags">${tags.map((t) => `<option>${t}</option>`).join('')}</datalist>
<label>is <select name="state">${options(Object.fromEntries(Object.entries(UNIT_STATES).map(([k, s]) => [k, s.words])))}</select></label>
<button value="unit">Make it so</button>`,
  body: `by === 'rig' ? { how: f.how.value } : { unit: f.unit.value, state: f.state.value }`,
});
