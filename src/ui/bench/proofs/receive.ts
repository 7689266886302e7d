/** What works out proofs, by itself, so that only it is loaded. */
export { proofsFor } from "@/core/clients";
