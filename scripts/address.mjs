/**
 * Where a request came from. A proxy that the shop names (`EDDRIN_TRUST_PROXY`, addresses with commas between) is believed who asked it; nobody else is.
 * @param {{ remoteAddress?: string, forwardedFor?: string }} request of the line, and what it says itself
 */
export const addressOf = ({ remoteAddress = 'unknown', forwardedFor }, proxies) => {
  const plain = plainOf(remoteAddress);
  // Each proxy writes at the end whom it was asked by: what stands before that, anybody may have written.
  const told = forwardedFor?.split(',').at(-1)?.trim();
  return trusts(remoteAddress, proxies) && told ? told : plain;
};

/** Is the other end of a line a proxy that the shop names? */
export const trusts = (remoteAddress, proxies) =>
  (proxies ?? '').split(',').some((p) => p.trim() !== '' && p.trim() === plainOf(remoteAddress ?? 'unknown'));
const plainOf = (address) => address.replace(/^::ffff:/, '');
