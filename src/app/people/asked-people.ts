/** What a page of people is asked for by its address. */
import { longestSearch, withoutDepartment, type PeopleLook } from "@/contract";
import type { Asked } from "../asked";

export async function askedPeople(searchParams: Asked): Promise<PeopleLook> {
  const asked = await searchParams;
  const said = (name: string): string =>
    typeof asked[name] === "string" ? asked[name].slice(0, longestSearch).trim() : "";
  return {
    look: said("look"),
    department: asked.department === withoutDepartment ? "" : said("department") || null,
    order: said("order") || "name",
  };
}
