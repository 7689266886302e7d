import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { walkAndKeep } from "@/server/links/walk-and-keep";

export const POST = handle(endpoints.walkLinks, ({ body, signal }) =>
  Promise.resolve(walkAndKeep(body.addresses, signal)),
);
