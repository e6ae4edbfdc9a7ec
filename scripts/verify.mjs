// node scripts/verify.mjs certificate.json …: are these certificates as they were issued? Needs nothing but Node.
// A certificate's hash is the SHA-256 of the hash before it, a line's end, and its statement as JSON with sorted keys and no spaces.
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';

const canonical = (value) => {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`;
  if (typeof value !== 'object' || value === null) return JSON.stringify(value);
  const keys = Object.keys(value).sort();
  return `{${keys.map((k) => `${JSON.stringify(k)}:${canonical(value[k])}`).join(',')}}`;
};
const hashOf = ({ previousHash, statement }) =>
  createHash('sha256')
    .update(`${previousHash}\n${canonical(statement)}`)
    .digest('hex');

const read = (file) => {
  try {
    const c = JSON.parse(readFileSync(file, 'utf8'));
    if (c.eddrin !== 'certificate' || c.version !== 1) return { file, fault: 'is no certificate of a kind that this script knows' };
    if (c.statement?.number !== c.number)
      return { file, fault: `says it is number ${c.number}, and its statement that it is ${c.statement?.number}` };
    if (hashOf(c) !== c.hash) return { file, fault: 'was altered: its statement does not give its hash' };
    return { file, ...c };
  } catch (error) {
    return { file, fault: `cannot be read: ${error.message}` };
  }
};

const files = process.argv.slice(2);
if (files.length === 0) {
  console.error('node scripts/verify.mjs certificate.json …');
  process.exit(2);
}
const certificates = files.map(read);
const sound = certificates.filter((c) => c.fault === undefined).sort((a, b) => a.number - b.number);
for (const [i, c] of sound.entries()) {
  const before = sound[i - 1];
  if (before?.number === c.number - 1 && before.hash !== c.previousHash)
    c.fault = `does not follow on certificate ${before.number}: one of the two was replaced`;
}
for (const c of certificates) {
  if (c.fault !== undefined) console.error(`${c.file}: REFUSED. It ${c.fault}.`);
  else console.log(`${c.file}: certificate ${c.number}, ${c.statement.tag}, as it was issued. ${c.hash}`);
}
process.exit(certificates.some((c) => c.fault !== undefined) ? 1 : 0);
