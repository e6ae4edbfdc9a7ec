import sharp from 'sharp';
import type { Random } from './random';

/** A drawn stand-in for a bench photo: a casting on a cloth under a lamp, or the bore seen from its mouth. */
export function drawPhoto(kind: 'body' | 'bore', random: Random): Promise<Uint8Array> {
  const rust = Array.from({ length: 90 }, () => {
    const [x, y, r] = [120 + random.next() * 560, 190 + random.next() * 220, 1 + random.next() * 7];
    return `<circle cx="${x}" cy="${y}" r="${r}" fill="#7a4a2a" opacity="${(0.15 + random.next() * 0.4).toFixed(2)}"/>`;
  }).join('');
  const body = `<rect width="800" height="600" fill="#8b918c"/><path d="M0 470 800 420V600H0Z" fill="#6d736f"/><rect x="110" y="210" width="560" height="190" rx="26" fill="#565b58"/><rect x="110" y="210" width="560" height="60" rx="26" fill="#7d837f"/><rect x="230" y="150" width="90" height="80" fill="#4b504d"/><rect x="470" y="150" width="90" height="80" fill="#4b504d"/><ellipse cx="112" cy="305" rx="26" ry="92" fill="#2c2f2d"/>${rust}<text x="360" y="345" font-size="44" font-family="sans-serif" fill="#8d938f">DN 22</text>`;
  // As a straight tube is seen from its mouth, a little from the side: what lies deeper by equal steps is smaller as one over its distance.
  const rings = Array.from({ length: 41 }, (_, i) => {
    const far = 1 / (1 + i * 0.04);
    return `<circle cx="${(425 - 25 * far).toFixed(1)}" cy="${(315 - 15 * far).toFixed(1)}" r="${(250 * far).toFixed(1)}" fill="none" stroke="#${(150 - (i % 4 === 0 ? 60 : 0) - i * 2).toString(16).repeat(3)}" stroke-width="${(8 * far ** 2 + 1).toFixed(1)}"/>`;
  }).join('');
  const pits = Array.from(
    { length: 7 },
    () =>
      `<ellipse cx="${340 + random.next() * 120}" cy="${470 + random.next() * 50}" rx="${3 + random.next() * 7}" ry="3" fill="#3a2a1c"/>`,
  ).join('');
  const bore = `<rect width="800" height="600" fill="#3b3f3d"/>${rings}<circle cx="415.4" cy="309.2" r="96" fill="#151716"/>${pits}<path d="M250 180Q330 120 420 130" stroke="#dfe6e4" stroke-width="16" fill="none" opacity="0.5"/>`;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="800" height="600">${kind === 'body' ? body : bore}</svg>`;
  return sharp(Buffer.from(svg)).blur(1.1).jpeg({ quality: 82 }).toBuffer();
}
