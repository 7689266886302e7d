/** What works out proofs, by itself, so that only it is loaded. */
export { receivedByEach } from "@/core/clients";
