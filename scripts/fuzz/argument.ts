/** A number after `--name` on the command line. */
export const argument = (name: string, usual: number): number => {
  const at = process.argv.indexOf(`--${name}`);
  return at === -1 ? usual : Number(process.argv[at + 1]);
};
