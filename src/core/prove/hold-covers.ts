/** What a hold's verdict and interval speak of, and what not. */
export const HOLD_COVERS =
  'A leak’s interval holds it 95 times in 100, over the usual ways of settling and leaking, at the pressure and temperature of that hold; other pressures, heat and shaking are not in it.';
