/** What a unit waits for, with how long that usually takes, minutes. @source design, domain, "Waits" */
export const USUAL_WAITS = [
  { label: 'penetrant soak', minutes: 1440 },
  { label: 'seal soak', minutes: 10 },
  { label: 'ultrasonic bath', minutes: 15 },
  { label: 'paint, air cure', minutes: 4320 },
  { label: 'paint, low bake', minutes: 60 },
  { label: 'thread locker', minutes: 30 },
  { label: 'casting resin', minutes: 1440 },
  { label: 'parts on order', minutes: 2880 },
  { label: 'approval', minutes: 1440 },
  { label: 'away for sleeving', minutes: 10080 },
  { label: 'test hold', minutes: 60 },
  { label: 'overnight weep check', minutes: 840 },
] as const;
