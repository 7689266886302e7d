import { route } from "@/server/http/route";
import { deleteVersion } from "@/server/signatures/versions";

export const DELETE = route<{ id: string; version: string }>(async (_request, { id, version }) =>
  deleteVersion(id, version),
);
