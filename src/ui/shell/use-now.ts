'use client';

import { useEffect, useState } from 'react';

/** The time, once a second; undefined on the server and before the first paint, so that both draw the same. */
export function useNow(running = true): number | undefined {
  const [now, setNow] = useState<number>();
  useEffect(() => {
    if (!running) return;
    setNow(Date.now());
    const clock = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(clock);
  }, [running]);
  return now;
}
