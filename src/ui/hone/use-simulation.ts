import { useEffect, useRef, useState } from 'react';
import type { SimulationFrame, SimulationInput } from '@/core/hone/simulation';

/** Where a simulation is, run in a worker of its own; a new input starts it anew. Undefined before the first frame. */
export function useSimulation(input: SimulationInput): SimulationFrame | undefined {
  const worker = useRef<Worker>(undefined);
  const [frame, setFrame] = useState<SimulationFrame>();
  useEffect(() => {
    worker.current = new Worker(new URL('./simulation.worker.ts', import.meta.url), { type: 'module' });
    worker.current.addEventListener('message', ({ data }: MessageEvent<SimulationFrame>) => setFrame(data));
    return () => worker.current?.terminate();
  }, []);
  useEffect(() => worker.current?.postMessage(input), [input]);
  return frame;
}
