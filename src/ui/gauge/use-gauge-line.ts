import { useEffect, useRef } from 'react';
import type { SentReading } from '@/core/gauge/sent-reading';

/** Hears what a gauge posts while its grid is open. @param instrumentId absent: no gauge that posts */
export function useGaugeLine(instrumentId: string | undefined, hear: (readings: readonly SentReading[]) => void): void {
  const latest = useRef(hear);
  useEffect(() => {
    latest.current = hear;
  });
  useEffect(() => {
    if (instrumentId === undefined) return;
    const line = new EventSource(`/api/v1/devices/${instrumentId}/stream`);
    line.addEventListener('message', (e: MessageEvent<string>) => latest.current(JSON.parse(e.data) as readonly SentReading[]));
    return () => line.close();
  }, [instrumentId]);
}
