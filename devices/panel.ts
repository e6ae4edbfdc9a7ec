import { createServer, type IncomingMessage } from 'node:http';

/** A stand-in's own page: what it is told, by which form, and what of the form it is told as a JSON body (an expression in `f`, its fields, and `by`, the button). */
export type Panel = { readonly title: string; readonly about: string; readonly form: string; readonly body: string };

const page = ({ title, about, form, body }: Panel): string => `<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${title}</title>
<style>body{font:16px sans-serif;max-width:36rem;margin:2rem auto;padding:0 1rem;color:#12181b;background:#dfe4e3}
label{display:inline-block;margin:.5rem 1rem .5rem 0}input,select,button{font:inherit;min-height:44px;padding:0 .6rem}input{width:7rem}
output{display:block;margin-top:1rem;font-weight:bold;min-height:3rem}</style>
<h1>${title}</h1>
<p>${about}</p>
<form>${form}</form>
<output></output>
<script>document.forms[0].addEventListener('submit', async (e) => {
  e.preventDefault();
  const f = e.target.elements, by = e.submitter.value;
  document.querySelector('output').textContent = await (await fetch('/', { method: 'POST', body: JSON.stringify(${body}) })).text();
});</script></html>`;

/** @param obey does what the form says, and answers in words */
export const servePanel = (port: number, panel: () => Panel, obey: (body: unknown) => string | Promise<string>): void => {
  const server = createServer(async (request, response) => {
    if (request.method !== 'POST') return response.setHeader('content-type', 'text/html; charset=utf-8').end(page(panel()));
    const told = await bodyOf(request)
      .then(obey)
      .catch((error: unknown) => `It could not be done: ${String(error)}`);
    return response.setHeader('content-type', 'text/plain; charset=utf-8').end(told);
  }).listen(port, () => {
    const address = server.address();
    console.log(`${panel().title}’s page: http://localhost:${typeof address === 'object' ? address?.port : port}`);
  });
};

const bodyOf = async (request: IncomingMessage): Promise<unknown> => {
  let text = '';
  for await (const piece of request) text += piece;
  return JSON.parse(text);
};

export const options = (all: Readonly<Record<string, string>>): string =>
  Object.entries(all)
    .map(([value, words]) => `<option value="${value}">${words}</option>`)
    .join('');
