import type { NewPerson } from '@/db/people/people';

/** The made-up shop's people. Their PINs stand on the demo's sign-in page and nowhere else. */
export const PEOPLE: readonly NewPerson[] = [
  { id: 'joss-tarrow', name: 'Joss Tarrow', role: 'technician', bench: 'Bench 1', pin: '4711' },
  { id: 'pell-wickert', name: 'Pell Wickert', role: 'technician', bench: 'Bench 2', pin: '2605' },
  { id: 'maren-oreland', name: 'Maren Oreland', role: 'lead', bench: 'Bench 3', pin: '180422' },
  { id: 'ida-brandvik', name: 'Ida Brandvik', role: 'counter', bench: 'Counter', pin: '3390' },
  { id: 'tobin-salke', name: 'Tobin Salke', role: 'owner', bench: null, pin: '551907' },
];
