import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { deleteIcon, describeIcon } from "@/server/icons/icons";

export const PATCH = handle(endpoints.describeIcon, async ({ params, body }) =>
  describeIcon(params.hash, body),
);

export const DELETE = handle(endpoints.deleteIcon, async ({ params }) => deleteIcon(params.hash));
