import { format, isThisYear, isToday } from "date-fns";

/** A time as a list of letters says it: of today by the hour, else by the day; or all of it. */
export function When({ time, whole = false }: { time: number; whole?: boolean }) {
  const pattern = whole
    ? "d MMMM yyyy, HH:mm"
    : isToday(time)
      ? "HH:mm"
      : isThisYear(time)
        ? "d MMM"
        : "d MMM yyyy";
  // The server's time of day may be another one than that of who reads.
  return (
    <time dateTime={new Date(time).toISOString()} suppressHydrationWarning>
      {format(time, pattern)}
    </time>
  );
}
