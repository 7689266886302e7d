/** The web as the server meets it: invented sites for hosts under `.example`, the network for all others. */
import { configuredBase, ownBase } from "../configuration";
import { fetchBounded, type FetchLimits, type FetchRequest, type FetchResult } from "./fetch-bounded";
import { withInventedSites } from "../invented-sites/sites";
import { network } from "./transport";

const limits: FetchLimits = { bytes: 20 * 1024 * 1024, time: 10_000, redirects: 5 };

/** Private addresses are refused at every step. */
export const fetchFromWeb = (address: string, request: FetchRequest = {}): Promise<FetchResult> =>
  fetchBounded(address, withInventedSites(network()), limits, request);

/** The beginning of a page is enough to see what it is. */
const pageLimits: FetchLimits = { bytes: 256 * 1024, time: 10_000, redirects: 10, cutOff: true };

/** As `fetchFromWeb`, for a page whose end does not matter. */
export const fetchPage = (address: string, request: FetchRequest = {}): Promise<FetchResult> =>
  fetchBounded(address, withInventedSites(network()), pageLimits, request);

/** As above, but this application's own address may be private: it is the one that is being checked. */
export const fetchOwn = (address: string): Promise<FetchResult> => {
  const own = new Set([ownBase(), configuredBase()].map((base) => new URL(base).host));
  return fetchBounded(address, withInventedSites(network(({ host }) => own.has(host))), limits);
};
