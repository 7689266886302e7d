import { mixed, object, string } from "yup";
import { readBody, route } from "@/server/http/route";
import { deleteNetwork, saveNetwork } from "@/server/links/networks";

/** Adds a network, or changes the one with its id. */
export const PUT = route(async (request) => {
  const { network } = await readBody(request, object({ network: mixed().required() }));
  return { network: await saveNetwork(network) };
});

export const DELETE = route(async (request) =>
  deleteNetwork((await readBody(request, object({ id: string().required().max(60) }))).id),
);
