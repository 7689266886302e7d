/** The room that messages are drawn in; px. By itself, since whatever draws one needs it and nothing else of the stand-ins. */

/** Around a message, on each side. */
export const messageMargin = 8;

/** Wide enough that nothing in a design wraps for want of room. */
export const designWidth = 1200;
