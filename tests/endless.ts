const at = (i: number) => ({ boreMm: 20 + (i % 7) * 0.1 });
/** Half a megabyte of needs and kits whose best set nobody can wait for. */
export const ENDLESS = {
  needs: Array.from({ length: 200 }, (_, i) => ({ id: `n${i}`, kind: `k${i % 4}`, qty: 5, dims: at(i), policy: 'replace' })),
  kits: Array.from({ length: 300 }, (_, k) => ({
    id: `kit${k}`,
    price: 1 + ((k * 37) % 101) / 7,
    stock: k % 3,
    leadDays: k % 30,
    items: Array.from({ length: 20 }, (_, i) => ({
      kind: `k${(i + k) % 4}`,
      qty: 1 + ((i * k) % 5),
      dims: (k + i) % 3 ? at(i * k) : {},
    })),
  })),
  sundries: Array.from({ length: 500 }, (_, s) => ({
    id: `s${s}`,
    kind: `k${s % 4}`,
    price: 1 + ((s * 13) % 17) / 3,
    stock: s % 4,
    leadDays: s % 20,
    dims: s % 2 ? at(s) : {},
  })),
  promiseDays: 5,
  allowUnverified: true,
};
