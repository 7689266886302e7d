import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { deleteNetwork, saveNetwork } from "@/server/links/networks";

export const PUT = handle(endpoints.saveNetwork, async ({ body }) => ({
  network: await saveNetwork(body.network),
}));

export const DELETE = handle(endpoints.deleteNetwork, async ({ body }) => deleteNetwork(body.id));
