import { useEffect, useRef, useState } from 'react';

/**
 * What a worker of its own says of the newest input; undefined before its first word. An answer to an older input stands until the next comes.
 * @param open makes the worker; always the same one
 */
export function useWorker<I, O>(open: () => Worker, input: I): O | undefined {
  const worker = useRef<Worker>(undefined);
  const make = useRef(open);
  const [said, setSaid] = useState<O>();
  useEffect(() => {
    worker.current = make.current();
    worker.current.addEventListener('message', ({ data }: MessageEvent<O>) => setSaid(data));
    return () => worker.current?.terminate();
  }, []);
  useEffect(() => worker.current?.postMessage(input), [input]);
  return said;
}
