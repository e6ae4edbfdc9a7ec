/** Nobody works here yet: only whoever started the program can open the shop. */
export const NotOpen = () => (
  <main className="mx-auto max-w-3xl px-4 py-12">
    <h1 className="mb-1 text-2xl font-bold tracking-[0.14em]">EDDRIN</h1>
    <p className="mt-4 border border-line bg-sheet p-3">
      This shop is not open yet. Where the program was started, it printed an address that opens it: use that one. To look at a made-up shop
      instead, stop it and run <code>npm run demo</code>.
    </p>
  </main>
);
