/** A run of the tests is the same each time; `npm run test:explore` looks where no run has looked yet. */
import fc from "fast-check";

const { STILL_LINE_SEED: seed = "4310" } = process.env;

if (seed !== "random") fc.configureGlobal({ seed: Number(seed) });
