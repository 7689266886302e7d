import { object, string } from "yup";
import { readBody, route } from "@/server/http/route";
import { deleteIcon, describeIcon } from "@/server/icons/icons";

interface Params {
  readonly hash: string;
}

const facts = object({
  name: string()
    .trim()
    .required("An icon needs a name.")
    .max(60, "An icon's name has at most 60 characters."),
  note: string().trim().defined().max(300, "Where it came from has at most 300 characters."),
});

export const PATCH = route<Params>(async (request, { hash }) =>
  describeIcon(hash, await readBody(request, facts)),
);

export const DELETE = route<Params>(async (_request, { hash }) => deleteIcon(hash));
