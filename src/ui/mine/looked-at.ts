/** How the office looks at somebody's page: what is done there then does not count as done by them. */

/** What the address ends with. */
export const lookedAt = "#looked-at";

export const isLookedAt = (): boolean => location.hash === lookedAt;
