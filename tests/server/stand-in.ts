import { spawnNode } from '../children';

/** The stand-in rig as its own process: where it listens, and what it says on its way. */
export type StandIn = { readonly address: string; readonly page: string; readonly said: () => string; readonly stop: () => void };

export const startStandIn = async (speed: number, truthFile = ''): Promise<StandIn> => {
  let said = '';
  const rig = spawnNode(['--import', 'tsx', 'devices/rig/server.ts'], {
    EDDRIN_RIG_PORT: '0',
    EDDRIN_RIG_PANEL: '0',
    EDDRIN_RIG_SPEED: String(speed),
    EDDRIN_RIG_TRUTH: truthFile,
  });
  const [address, page] = await new Promise<readonly [string, string]>((resolve) => {
    rig.stdout.on('data', (d) => {
      said += d;
      const [listens] = /127\.0\.0\.1:\d+/.exec(said) ?? [];
      const [page] = /http:\/\/localhost:\d+/.exec(said) ?? [];
      if (listens !== undefined && page !== undefined) resolve([listens, page]);
    });
  });
  return { address, page, said: () => said, stop: () => void rig.kill() };
};
