import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { deleteSignature, describeSignature, findNewer, saveDocument } from "@/server/signatures/signatures";

export const GET = handle(endpoints.findNewer, async ({ params, query }) =>
  findNewer(params.id, query.after),
);

export const PUT = handle(endpoints.saveSignature, async ({ params, body }) => ({
  revision: await saveDocument(params.id, body.document, body.revision, body.settles),
}));

export const PATCH = handle(endpoints.describeSignature, async ({ params, body }) =>
  describeSignature(params.id, body),
);

export const DELETE = handle(endpoints.deleteSignature, async ({ params }) => deleteSignature(params.id));
