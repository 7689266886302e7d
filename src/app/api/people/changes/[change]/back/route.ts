import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { takeBackChange } from "@/server/people/change-people";

export const POST = handle(endpoints.takeBackPeople, async ({ params }) => takeBackChange(params.change));
