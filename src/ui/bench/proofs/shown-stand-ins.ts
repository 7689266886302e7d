import type { StandInId } from "@/core/clients";

/** The stand-ins of the Bench's strip. */
export const shownStandIns: readonly StandInId[] = ["webmail-inline", "desktop-document"];
