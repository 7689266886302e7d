/** A message as an answer quotes it, once or several times over. */
import type { Element } from "../../html";
import type { StandIn } from "../stand-in";
import { wrapBody } from "./body-to-div";

/** How each manner of quoting is drawn. Our own measures, in px. */
const manners: Readonly<Record<StandIn["quote"], string>> = {
  ruled: "margin:0 0 0 8px;border-left:1px solid #CCCCCC;padding:0 0 0 12px",
  indented: "margin:0 0 0 32px",
  "under-rule": "margin:0;border-top:1px solid #CCCCCC;padding:8px 0 0",
};

export function quote(body: Element, manner: StandIn["quote"], times: number): void {
  for (let time = 0; time < times; time++) wrapBody(body, "blockquote", { style: manners[manner] });
}
