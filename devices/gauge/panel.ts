import { options, type Panel } from '../panel';

/** The stand-in gauge's own page: which unit, where, and measure. */
export const gaugePanel = (tags: readonly string[]): Panel => ({
  title: 'Stand-in gauge',
  about:
    'It measures a demo unit’s bore, with a gauge’s noise, and posts what it reads. Have the unit’s grid open at Gauge, with the gauge that posts.',
  form: `<label>Unit <select name="tag">${options(Object.fromEntries(tags.map((t) => [t, t])))}</select></label>
<label>Depth, mm <input name="x" type="number" step="0.1" value="20"></label>
<label>Clock, ° <input name="clock" type="number" value="0"></label>
<label>Cut since, µm <input name="cut" type="number" value="0"></label>
<p><button value="one">Measure here</button> <button value="all">Measure the whole grid</button></p>`,
  body: `{ tag: f.tag.value, xMm: by === 'one' ? Number(f.x.value) : null, clockDeg: by === 'one' ? Number(f.clock.value) : null, cutUm: Number(f.cut.value) }`,
});
