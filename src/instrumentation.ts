/** Runs once when the server starts: the database is migrated, the stand-in post office and the imaging open. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const [{ findTrouble }, { openPostOffice }, { imaging }, { purgeRemoved }] = await Promise.all([
    import("./server/database/database"),
    import("./server/mail/post-office"),
    import("./server/imaging/imaging"),
    import("./server/pictures/unused"),
  ]);
  // Where it is not in order, each page says so until it is.
  const trouble = await findTrouble();
  await openPostOffice();
  // The first picture of the day must not wait for the worker to start.
  void imaging.memory();
  if (!trouble) await purgeRemoved();
}
