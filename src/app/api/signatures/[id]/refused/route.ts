import { object, string } from "yup";
import { readBody, route } from "@/server/http/route";
import { settleRefusedSave } from "@/server/signatures/signatures";

const choice = object({
  refusedId: string().uuid().required(),
  keep: string()
    .oneOf(["mine", "saved"] as const)
    .required(),
});

export const POST = route<{ id: string }>(async (request, { id }) => {
  const { refusedId, keep } = await readBody(request, choice);
  return settleRefusedSave(id, refusedId, keep);
});
