import { createServer } from 'node:http';
import type { AddressInfo, Socket } from 'node:net';
import { simpleParser } from 'mailparser';
import { SMTPServer } from 'smtp-server';

// The stand-in mail server: takes whatever comes and shows it on a page; nothing leaves this machine. EDDRIN_MAIL_PORT and EDDRIN_MAIL_PAGE (0 for
// any). An address that begins with `later` is told no for now, with `never` no for good, and with `breaks` the line breaks once all is there.

type Came = { readonly at: string; readonly id: string; readonly to: string; readonly subject: string; readonly text: string };
const came: Came[] = [];

const refusals: Readonly<Record<string, { readonly code: number; readonly says: string }>> = {
  later: { code: 451, says: 'come back later' },
  never: { code: 550, says: 'nobody of that name here' },
};

const server = new SMTPServer({
  authOptional: true,
  disabledCommands: ['STARTTLS'],
  onAuth: (_auth, _session, done) => done(null, { user: 'shop' }),
  onRcptTo: ({ address }, _session, done) => {
    const refused = Object.entries(refusals).find(([word]) => address.startsWith(word))?.[1];
    done(refused === undefined ? null : Object.assign(new Error(refused.says), { responseCode: refused.code }));
  },
  onData: (stream, session, done) => {
    simpleParser(stream).then(({ messageId = '', subject = '', text = '' }) => {
      const to = session.envelope.rcptTo.map((r) => r.address).join(', ');
      came.push({ at: new Date().toISOString(), id: messageId, to, subject, text });
      console.log(`mail for ${to}: ${subject}`);
      if (!to.startsWith('breaks')) return done();
      for (const line of lines) line.destroy();
    }, done);
  },
});
const lines = new Set<Socket>();
server.server.on('connection', (line) => {
  lines.add(line);
  line.once('close', () => lines.delete(line));
});
// A line that breaks is the other end's to tell.
server.on('error', () => undefined);

const escaped = (text: string): string => text.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);
const linked = (text: string): string => escaped(text).replace(/https?:\/\/\S+/g, (url) => `<a href="${url}">${url}</a>`);
const page = (): string => `<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Stand-in mail</title>
<style>body{font:16px sans-serif;max-width:44rem;margin:2rem auto;padding:0 1rem;color:#12181b;background:#dfe4e3}
article{background:#f8faf9;padding:.6rem 1rem;margin:.6rem 0}p{margin:.3rem 0;white-space:pre-line;overflow-wrap:anywhere}small{color:#485357}</style>
<h1>What came by mail (${came.length})</h1>
<p>Nothing of this leaves the machine.</p>
${came
  .toReversed()
  .map((m) => `<article><small>${escaped(m.to)} · ${m.at}</small><h2>${escaped(m.subject)}</h2><p>${linked(m.text)}</p></article>`)
  .join('')}</html>`;

const pages = createServer((request, response) =>
  request.url === '/came.json'
    ? response.setHeader('content-type', 'application/json').end(JSON.stringify(came))
    : response.setHeader('content-type', 'text/html; charset=utf-8').end(page()),
);
const portOf = (listening: { readonly address: () => unknown }): number => (listening.address() as AddressInfo).port;
pages.listen(Number(process.env.EDDRIN_MAIL_PAGE ?? 0), 'localhost', () =>
  server.listen(Number(process.env.EDDRIN_MAIL_PORT ?? 0), 'localhost', () =>
    console.log(`The stand-in mail server is at smtp://localhost:${portOf(server.server)}; what came: http://localhost:${portOf(pages)}`),
  ),
);
