import { mixed, object, string } from "yup";
import { readBody, route } from "@/server/http/route";
import { deleteNetwork, listNetworks, saveNetwork } from "@/server/links/networks";

export const GET = route(async () => ({ networks: await listNetworks() }));

/** Adds a network, or changes the one with its id. */
export const PUT = route(async (request) => {
  const { network } = await readBody(request, object({ network: mixed().required() }));
  return { network: await saveNetwork(network) };
});

export const DELETE = route(async (request) =>
  deleteNetwork((await readBody(request, object({ id: string().required().max(60) }))).id),
);
