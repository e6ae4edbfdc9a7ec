/**
 * The shop's limits. `null` for the two limits that the default takes from a table by bore size or material.
 * @source design, chapter 3, each calculation's (rule) numbers
 */
export type Rules = { readonly [N in RuleName]: RuleValue<N> };
export type RuleName = keyof typeof RULES;
type RuleValue<N extends RuleName> = (typeof RULES)[N]['standard'] extends null ? number | null : number;

type Rule = {
  /** As a bench says it. */
  readonly label: string;
  readonly standard: number | null;
  readonly unit: string;
  readonly min: number;
  readonly max: number;
  readonly why: string;
  /** There for what is a whole number. */
  readonly counts?: true;
};

/** Every rule: its standard value, its range (min is exclusive for spreads), and the reason a shop would give. */
export const RULES = {
  laneMarginMm: rule('Margin of a lane', 1, 'mm', 0, 10, 'A seal sits a little to either side of where its drawing puts it.'),
  toleratedParkedUm: rule(
    'Depth that may stay under a resting seal',
    2,
    'µm',
    0,
    100,
    'A cup at rest takes the shape of what lies under it and then leaks there.',
  ),
  toleratedSweptUm: rule(
    'Depth that may stay in a seal’s way',
    5,
    'µm',
    0,
    100,
    'A moving lip rides over a shallow mark; polishing takes its edge off.',
  ),
  toleratedStaticUm: rule(
    'Depth that may stay under a static seal',
    20,
    'µm',
    0,
    200,
    'A static seal is squeezed into a shallow mark and fills it.',
  ),
  cleanUpUm: rule(
    'Cut past the bottom of a mark',
    5,
    'µm',
    0,
    50,
    'Cut this much past the bottom of a mark, so that it is gone and not polished over.',
  ),
  ovalityLimitMm: rule('Most ovality', 0.02, 'mm', 0, 1, 'Past this the lip cannot follow both axes.'),
  taperLimitMm: rule('Most taper', 0.025, 'mm', 0, 1, 'Past this the lip is slack at one end of its travel.'),
  clearanceMaxMm: rule(
    'Most clearance of the piston',
    null,
    'mm',
    0,
    1,
    'More clearance and the cup is pushed into the gap. Not set: by bore, to 20 mm 0.10, to 26 0.13, to 32 0.15, above 0.20.',
  ),
  oversizeMaxMm: rule(
    'Most oversize of the bore',
    null,
    'mm',
    0,
    2,
    'A standard cup seals no further. Not set: iron 0.15, alloy and sleeves 0.10, anodised 0.05.',
  ),
  polishStockUm: rule('What a polish takes off', 6, 'µm', 0, 50, 'What a hand polish takes off the diameter without breaking the skin.'),
  sleeveMinWallMm: rule('Least wall for a sleeve', 3, 'mm', 0, 50, 'Less wall than this cannot be bored for a sleeve.'),
  gaugeRepeatabilityMm: rule('Repeatability of the gauge', 0.002, 'mm', 0, 1, 'One sigma of the same bore gauged again.'),
  gaugeCalibrationMm: rule('Setting ring of the gauge', 0.001, 'mm', 0, 1, 'One sigma of the setting ring.'),
  grooveDpMPa: rule('Pressure for a groove’s leak', 8, 'MPa', 0, 100, 'Pressure at which a groove leak is estimated.'),
  grooveViscosityPaS: rule('Viscosity of the fluid', 0.016, 'Pa·s', 1e-6, 10, 'Brake fluid at bench temperature.'),
  reliefMm: rule('Relief at a blind end', 1, 'mm', 0, 50, 'Kept between the stone and the bottom of a blind bore.'),
  hatchDeg: rule('Cross-hatch', 25, '°', 1, 120, 'Included angle of the cross-hatch.'),
  rateWeightTurns: rule(
    'Weight of the table’s cutting rate',
    230,
    'turns',
    0,
    1e5,
    'How many turns the table rate counts for beside the shop’s own passes.',
  ),
  windowMinMm: rule('Least pushrod gap', 0.4, 'mm', 0, 10, 'Less gap than this and the port may stay shut when the unit warms.'),
  windowMaxMm: rule('Most pushrod gap', 1.1, 'mm', 0, 20, 'More gap than this and the pedal is lost to it.'),
  laneGapMaxMm: rule(
    'Longest stretch of a lane not gauged',
    8,
    'mm',
    1,
    1000,
    'Wear in mid-stroke is narrow; between depths further apart it is not seen.',
  ),
  depthDoubtUm: rule('Doubt of a depth, at least', 3, 'µm', 0, 100, 'Counted where nobody said how well a mark’s depth is known.'),
  depthDoubtPct: rule(
    'Doubt of a depth, by its size',
    20,
    '%',
    0,
    200,
    'Counted where nobody said how well a mark’s depth is known, if it is more.',
  ),
  gapTargetMm: rule('Pushrod gap to set', null, 'mm', 0, 20, 'Where to set the gap; not set: the middle of the window.'),
  limitMlPerMin: rule('Most leak of a held unit', 0.05, 'ml/min', 1e-6, 100, 'A unit that leaks no more than this holds its pedal.'),
  settleLeastBar: rule(
    'Most settling, at least',
    0.5,
    'bar',
    0,
    50,
    'Rubber and lines give a little after the fill; what falls further is a leak.',
  ),
  settleSharePct: rule(
    'Most settling, by the pressure',
    10,
    '%',
    0,
    49,
    'Rubber and lines give no more than this of the pressure at the start.',
  ),
  leakFloorPct: rule('Least doubt of a leak', 5, '%', 0.1, 100, 'Of the limit: no hold tells a leak better than this.'),
  fluidMl: rule('Fluid in unit and line', 30, 'ml', 0, 5000, 'What warms or cools during a hold, and moves the pressure.'),
  fluidPerK: rule('Expansion of the fluid', 7.6e-4, '1/K', 0, 0.01, 'Of brake fluid, less that of the body around it.'),
  driftKPerMin: rule('Drift of the temperature', 0.1, 'K/min', 0, 5, 'One sigma, counted where no temperature was logged.'),
  airMaxMl: rule('Most trapped air', 0.3, 'ml', 0, 100, 'More air than this hides a leak.'),
  spreadBoreMm: rule('Spread of a bore', 0.05, 'mm', 1e-6, 10, 'How far units of one fitment differ.'),
  spreadStrokeMm: rule('Spread of a stroke', 0.5, 'mm', 1e-6, 50, 'How far units of one fitment differ.'),
  spreadBodyMm: rule('Spread of a body’s length', 0.5, 'mm', 1e-6, 50, 'How far units of one fitment differ.'),
  spreadStudMm: rule('Spread of a stud pitch', 0.3, 'mm', 1e-6, 50, 'How far units of one fitment differ.'),
  freeAirMaxBar: rule(
    'Most air to free a piston',
    2,
    'bar',
    0,
    10,
    'Air stores what it is given: past this a piston that lets go is a shot.',
  ),
  freeFluidMaxBar: rule(
    'Most fluid pressure to free a piston',
    60,
    'bar',
    0,
    200,
    'Below what the unit sees in service; a leak shows before metal gives.',
  ),
  freeGreaseMaxBar: rule(
    'Most grease-gun pressure to free a piston',
    120,
    'bar',
    0,
    400,
    'A gun makes several hundred bar by hand; a casting is made for less.',
  ),
  springLossPct: rule(
    'Most loss of a spring’s free length',
    4,
    '%',
    0,
    50,
    'A spring that has lost more returns the piston late and lets the cup park over the port.',
  ),
  rodBendMm: rule(
    'Most bend of a pushrod',
    0.3,
    'mm',
    0,
    5,
    'Rolled on a flat plate; a bent rod pushes the piston aside and wears one wall.',
  ),
  clipSpringPct: rule(
    'Least spring of a circlip',
    3,
    '%',
    0,
    30,
    'Free, it stands at least this much wider than its groove; one that has closed up can jump out.',
  ),
  ringCheckDays: rule(
    'Longest between ring checks of a gauge',
    30,
    'days',
    1,
    3650,
    'A gauge that was knocked shows it on its setting ring, not in a bore.',
  ),
  ringCheckOffUm: rule('Most that a gauge may be off its ring', 4, 'µm', 0, 100, 'Past this it is set anew before it measures anything.'),
  holeWearMm: rule('Most play of a pin in its hole', 0.25, 'mm', 0, 5, 'Worn clevis holes are lost pedal, times the lever’s ratio.'),
  vacuumDropKPa: rule(
    'Most vacuum lost in 15 s',
    3.3,
    'kPa',
    0,
    50,
    'A booster that loses more has a leak that the engine’s pull hides; its manual goes before.',
  ),
  holeOvalMm: rule('Most ovality of a pin’s hole', 0.15, 'mm', 0, 5, 'An oval hole rocks on its pin and wears on quickly.'),
  labourPerHour: rule('Labour, by the hour', 60, 'money', 0, 100_000, 'What an hour at the bench is sold for.'),
  partsMarkupPct: rule('Mark-up on parts', 20, '%', 0, 1000, 'What is added to what a part costs the shop.'),
  proofPriorGood: rule(
    'Proved at once, before any were counted',
    9,
    'units',
    1e-6,
    100_000,
    'A way that nobody has gone here yet is taken to be proved nine times in ten.',
  ),
  proofPriorBad: rule('Not proved, before any were counted', 1, 'units', 1e-6, 100_000, 'The tenth of them fails on the rig.'),
  keepPriorGood: rule(
    'Kept, before any were counted',
    19,
    'units',
    1e-6,
    100_000,
    'A way that nobody has gone here yet is taken to keep nineteen times in twenty.',
  ),
  keepPriorBad: rule('Came back, before any were counted', 1, 'units', 1e-6, 100_000, 'The twentieth of them comes back.'),
  workGapMin: rule(
    'Longest pause in work',
    20,
    'min',
    1,
    240,
    'Between two steps of a person on a unit; what took longer was something else, and counts for no bench time.',
  ),
  flushTurnover: rule(
    'Fluid that flushes a line',
    2,
    'times',
    1e-6,
    100,
    'So many times what stands in it: new fluid mixes with the old one on its way.',
  ),
  strokeFill: rule('Of a stroke, what comes out', 0.9, '', 1e-6, 1, 'The pedal does not use all of it, and hoses give.'),
  spareStrokes: wholeRule('Strokes kept back in the reservoir', 1, 'strokes', 0, 20, 'It is topped up this much before it could draw air.'),
  bleedViscosityPaS: rule(
    'Viscosity of the fluid that is bled',
    0.016,
    'Pa·s',
    1e-6,
    10,
    'Brake fluid at the temperature of a yard; cold, it is several times that.',
  ),
  bleedDensityKgM3: rule('Density of the fluid', 1060, 'kg/m³', 1, 5000, 'What its height drives it by.'),
  gravityLeastMlPerMin: rule('Least flow by gravity', 5, 'ml/min', 0, 1000, 'Slower, a bubble stands still in the line.'),
  bleedVacuumKPa: rule('Vacuum at a bleed screw', 60, 'kPa', 0, 100, 'What a hand pump or a bottle holds.'),
  pumpStrokeS: rule('A stroke with a helper', 3, 's', 1e-6, 600, 'Press, open, close, let go.'),
  bottleMl: rule('A bottle of fluid', 500, 'ml', 1e-6, 100_000, 'As it is bought; what stands open takes up water.'),
  bendRadiusMm: rule('Radius of a bend', 15, 'mm', 1e-6, 10_000, 'To the middle of the tube: that of the shop’s bender.'),
  flareTakesMm: rule('Tube that a flare takes', 3, 'mm', 0, 100, 'Of each flared end. Flare a scrap piece and measure yours.'),
  leastStraightMm: rule('Least straight between bends', 10, 'mm', 0, 1000, 'Less, and the bender cannot hold it.'),
  nutRoomMm: rule('Straight at a flared end', 25, 'mm', 0, 1000, 'The nut slides back over it, and the flaring bar takes hold of it.'),
} as const;

function rule<S extends number | null>(
  label: string,
  standard: S,
  unit: string,
  min: number,
  max: number,
  why: string,
): Rule & { readonly standard: S } {
  return { label, standard, unit, min, max, why };
}

/** A rule that counts. */
function wholeRule<S extends number>(...of: Parameters<typeof rule<S>>): Rule & { readonly standard: S; readonly counts: true } {
  return { ...rule(...of), counts: true };
}

export const RULE_NAMES = Object.keys(RULES) as readonly RuleName[];

export const STANDARD_RULES = Object.fromEntries(RULE_NAMES.map((name) => [name, RULES[name].standard])) as unknown as Rules;

/** Rules in force: the shop's set, with what this request asks for on top; null and absent leave the shop's value. */
export const withRules = (shop: Rules, asked: RuleOverrides | null | undefined): Rules => ({
  ...shop,
  ...Object.fromEntries(Object.entries(asked ?? {}).filter(([, value]) => value != null)),
});

export type RuleOverrides = { readonly [N in RuleName]?: number | null | undefined };
