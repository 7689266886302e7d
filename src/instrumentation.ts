/** Runs once when the server starts: the database is migrated and the stand-in post office opens. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const [{ database }, { openPostOffice }] = await Promise.all([
    import("./server/database/database"),
    import("./server/mail/post-office"),
  ]);
  await database();
  await openPostOffice();
}
