import { type ShopSettings, STANDARD_SHOP } from '@/core/shop/settings';

/** The made-up shop, as its owner set it. */
export const SHOP: ShopSettings = {
  ...STANDARD_SHOP,
  name: 'Skerrin Cylinder Works',
  address: 'Net Loft 3\nOuter Skerrin',
  telephone: '555 0100',
  onPapers: 'Brake and clutch cylinders reconditioned',
  places: [
    { id: 'hone-1', kind: 'hone', name: 'Hone, flexible', holds: 1, branch: '' },
    { id: 'hone-2', kind: 'hone', name: 'Hone, three stones', holds: 1, branch: '' },
    { id: 'bath-1', kind: 'bath', name: 'Ultrasonic bath', holds: 4, branch: '' },
    { id: 'bath-2', kind: 'bath', name: 'Soak', holds: 8, branch: '' },
    { id: 'rig-1', kind: 'rig', name: 'Rig', holds: 1, branch: '' },
  ],
};
