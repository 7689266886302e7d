import type { SaveState } from "./use-saving";

const beginLow = (sentence: string): string => `${sentence.charAt(0).toLowerCase()}${sentence.slice(1)}`;

/** Whether what is on the sheet is kept. */
export function SaveStatus({ state }: { state: SaveState }) {
  return (
    <span
      role="status"
      className={`whitespace-nowrap text-sm ${state.kind === "waiting" || state.kind === "refused" ? "text-rowan" : "text-soft"}`}
    >
      {state.kind === "saved" && (
        <>
          Saved<span className="sr-only lg:not-sr-only"> · version {state.revision}</span>
        </>
      )}
      {state.kind === "saving" && "Saving…"}
      {state.kind === "waiting" &&
        `Not saved yet: ${beginLow(state.because ?? "No answer")}. Kept here, trying again.`}
      {state.kind === "refused" && `Not saved: ${state.message}`}
      {state.kind === "stale" && "Two versions"}
    </span>
  );
}
