/** Ends this process on a signal, and when the one that started it has gone: nobody would know of it any more. */
export function endWhenTold(): void {
  for (const told of ["SIGINT", "SIGTERM", "disconnect"]) process.on(told, () => process.exit(0));
}
