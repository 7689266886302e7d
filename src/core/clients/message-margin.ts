/** Room around a message, on each side; px. By itself, since whatever draws a message needs it and nothing else of the stand-ins. */
export const messageMargin = 8;
