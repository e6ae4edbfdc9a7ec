/**
 * Where a request came from. A proxy that the shop names (`EDDRIN_PROXY`, addresses with commas between) is believed who asked it; nobody else is.
 * @param {{ remoteAddress?: string, forwardedFor?: string }} request of the line, and what it says itself
 */
export const addressOf = ({ remoteAddress = 'unknown', forwardedFor }, proxies) => {
  const plain = remoteAddress.replace(/^::ffff:/, '');
  const named = (proxies ?? '').split(',').map((p) => p.trim());
  // Each proxy writes at the end whom it was asked by: what stands before that, anybody may have written.
  const told = forwardedFor?.split(',').at(-1)?.trim();
  return named.includes(plain) && told ? told : plain;
};
