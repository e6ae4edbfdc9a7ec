/** The stand-in gauge's own page: which unit, where, and measure. */
export const panel = (tags: readonly string[]): string => `<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Stand-in gauge</title>
<style>body{font:16px sans-serif;max-width:34rem;margin:2rem auto;padding:0 1rem;color:#12181b;background:#dfe4e3}
label{display:inline-block;margin:.5rem 1rem .5rem 0}input,select,button{font:inherit;min-height:44px;padding:0 .6rem}input{width:6rem}
output{display:block;margin-top:1rem;font-weight:bold;min-height:3rem}</style>
<h1>Stand-in gauge</h1>
<p>It measures a demo unit's bore, with a gauge's noise, and posts what it reads. Have the unit's grid open at Gauge, with the gauge that posts.</p>
<form><label>Unit <select name="tag">${tags.map((t) => `<option>${t}</option>`).join('')}</select></label>
<label>Depth, mm <input name="x" type="number" step="0.1" value="20"></label>
<label>Clock, ° <input name="clock" type="number" value="0"></label>
<label>Cut since, µm <input name="cut" type="number" value="0"></label>
<p><button name="what" value="one">Measure here</button> <button name="what" value="all">Measure the whole grid</button></p></form>
<output></output>
<script>document.forms[0].addEventListener('submit', async (e) => {
  e.preventDefault();
  const f = e.target.elements, one = e.submitter.value === 'one';
  const body = { tag: f.tag.value, xMm: one ? Number(f.x.value) : null, clockDeg: one ? Number(f.clock.value) : null, cutUm: Number(f.cut.value) };
  document.querySelector('output').textContent = await (await fetch('/', { method: 'POST', body: JSON.stringify(body) })).text();
});</script></html>`;
