/** Everything that production needs: the pages, the imaging worker, the command line, what fills the demo. */
import { buildApplication } from "./prepare.mjs";

await buildApplication({ always: true });
