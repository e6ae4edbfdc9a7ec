/** What turns the stones: speeds that one starts from; the bench types what it reads. */
export const DRIVES = {
  drill: { label: 'hand drill', rpm: 450, strokesPerMin: 60 },
  press: { label: 'drill press', rpm: 350, strokesPerMin: 60 },
  hand: { label: 'by hand', rpm: 60, strokesPerMin: 30 },
} as const;
export type Drive = keyof typeof DRIVES;
export const DRIVE_NAMES = Object.keys(DRIVES) as [Drive, ...Drive[]];

/** What cuts: only stones follow the table of rates; beads and paper take the skin's gloss off and little else. */
export const TOOLS = { stone: 'stone hone', bead: 'bead hone', paper: 'paper by hand' } as const;
export type Tool = keyof typeof TOOLS;
export const TOOL_NAMES = Object.keys(TOOLS) as [Tool, ...Tool[]];
