// node scripts/verify.mjs [--keys keys.json] [--key FINGERPRINT] certificate.json …: are these certificates as they were issued? Needs nothing but Node.
// A certificate's hash is the SHA-256 of the hash before it, a line's end, and what it states as JSON with sorted keys and no spaces.
// Since version 2 that covers its number and what it supersedes, and the shop's key (Ed25519) signs `eddrin certificate <hash>`.
import { createHash, createPublicKey, verify } from 'node:crypto';
import { readFileSync } from 'node:fs';

const canonical = (value) => {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`;
  if (typeof value !== 'object' || value === null) return JSON.stringify(value);
  const keys = Object.keys(value).sort();
  return `{${keys.map((k) => `${JSON.stringify(k)}:${canonical(value[k])}`).join(',')}}`;
};
const hashOf = ({ version, previousHash, key, number, statement, supersedes }) =>
  createHash('sha256')
    .update(`${previousHash}\n${canonical(version === 1 ? statement : { key, number, statement, supersedes })}`)
    .digest('hex');

const isSigned = ({ publicKey, signature, hash }) =>
  verify(
    null,
    Buffer.from(`eddrin certificate ${hash}`),
    createPublicKey({ key: { kty: 'OKP', crv: 'Ed25519', x: publicKey }, format: 'jwk' }),
    Buffer.from(signature, 'base64url'),
  );
const fingerprintOf = (publicKey) => createHash('sha256').update(Buffer.from(publicKey, 'base64url')).digest('hex').slice(0, 20);
const sayKey = (id) => id.replace(/(.{4})(?=.)/g, '$1 ');

const read = (file) => {
  try {
    const c = JSON.parse(readFileSync(file, 'utf8'));
    if (c.eddrin !== 'certificate' || ![1, 2].includes(c.version))
      return { file, fault: 'is no certificate of a kind that this script knows' };
    if (c.statement?.number !== c.number)
      return { file, fault: `says it is number ${c.number}, and its statement that it is ${c.statement?.number}` };
    if (hashOf(c) !== c.hash) return { file, fault: 'was altered: what it states does not give its hash' };
    if (c.version === 2 && fingerprintOf(c.publicKey) !== c.key) return { file, fault: 'was altered: its key has another mark' };
    if (c.version === 2 && !isSigned(c)) return { file, fault: 'was altered: its signature is not of its key' };
    return { file, ...c };
  } catch (error) {
    return { file, fault: `cannot be read: ${error.message}` };
  }
};

/** What the shop's keys say of a certificate that is whole: a fault, what cannot be known, or nothing. */
const heldAgainst = (c, keys) => {
  const first = Math.min(...keys.map((k) => k.fromAt));
  if (c.version === 1 && keys.length > 0 && c.statement.at >= first && first > Number.NEGATIVE_INFINITY)
    return { fault: 'is not signed, though the shop signed its certificates by its date' };
  if (c.version === 1) return { doubt: 'is not signed: its text gives its hash, which anybody can make. Ask at the shop’s address' };
  if (keys.length === 0)
    return {
      doubt: `was not altered since key ${sayKey(c.key)} signed it. Whether that is the shop’s key stands on its paper and at its address, and is asked with --key`,
    };
  const known = keys.find((k) => k.id === c.key);
  if (known === undefined) return { fault: `is signed with key ${sayKey(c.key)}, which is none of the shop’s` };
  if (c.statement.at < known.fromAt || c.statement.at > (known.untilAt ?? Number.POSITIVE_INFINITY))
    return { fault: `is dated outside the time of the key that signed it` };
  return {};
};

const [files, keys] = [[], []];
const args = process.argv.slice(2);
for (let i = 0; i < args.length; i++) {
  if (args[i] === '--keys') keys.push(...JSON.parse(readFileSync(args[++i], 'utf8')).keys);
  else if (args[i] === '--key')
    keys.push({ id: (args[++i] ?? '').replace(/\s/g, '').toLowerCase(), fromAt: Number.NEGATIVE_INFINITY, untilAt: null });
  else files.push(args[i]);
}
if (files.length === 0) {
  console.error(
    'node scripts/verify.mjs [--keys keys.json] [--key FINGERPRINT] certificate.json …\n\n' +
      '  --keys  the keys that stand at the shop’s address under /verify, as a file\n' +
      '  --key   a key’s mark as a paper has it, five groups of four without spaces\n\n' +
      'Ends with 0 where all are as issued, 1 where one is refused, 3 where one cannot be told without the shop’s key.',
  );
  process.exit(2);
}
const certificates = files.map(read);
const whole = certificates.filter((c) => c.fault === undefined).sort((a, b) => a.number - b.number);
for (const [i, c] of whole.entries()) {
  const before = whole[i - 1];
  if (before?.number === c.number - 1 && before.hash !== c.previousHash)
    c.fault = `does not follow on certificate ${before.number}: one of the two was replaced`;
  else Object.assign(c, heldAgainst(c, keys));
}
for (const c of certificates) {
  if (c.fault !== undefined) console.error(`${c.file}: REFUSED. It ${c.fault}.`);
  else if (c.doubt !== undefined) console.log(`${c.file}: certificate ${c.number}, ${c.statement.tag}, NOT CERTAIN. It ${c.doubt}.`);
  else console.log(`${c.file}: certificate ${c.number}, ${c.statement.tag}, as it was issued. ${c.hash}`);
}
process.exit(certificates.some((c) => c.fault !== undefined) ? 1 : certificates.some((c) => c.doubt !== undefined) ? 3 : 0);
