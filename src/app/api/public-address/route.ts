import { endpoints } from "@/contract";
import { findPublicAddress, setPublicBase } from "@/server/addresses/public-address";
import { handle } from "@/server/http/handle";

export const GET = handle(endpoints.findPublicAddress, findPublicAddress);

export const PUT = handle(endpoints.setPublicAddress, async ({ body }) => setPublicBase(body.base));
