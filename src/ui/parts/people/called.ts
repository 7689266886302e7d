/** What somebody is called. */
export const calledOf = (name: string): string => name || "Somebody without a name";
