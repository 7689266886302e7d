/** Foreign HTML as it looks, for a frame in which nothing runs: its body, its style sheets, and what its body says of itself. */
import { messageOf } from "../clients";
import { attributeOf, createElement, elementsIn, isText, writeParts } from "../html";

/** Scripts, forms and frames are out; everything else is as it was written. Never throws. */
export function asItWas(html: string): string {
  const message = messageOf(html).read;
  const sheets = [...elementsIn(message.head), ...elementsIn(message.body)]
    .filter(({ tagName }) => tagName === "style")
    .flatMap(({ childNodes }) => childNodes.filter(isText).map(({ value }) => value))
    // A sheet ends where its element does, whatever stands in it.
    .map((sheet) => `<style>${sheet.replace(/<\/style/gi, "")}</style>`)
    .join("");
  const said = (name: string): string | null => attributeOf(message.body, name);
  const style = [
    said("style"),
    said("bgcolor") && `background-color:${said("bgcolor") ?? ""}`,
    said("text") && `color:${said("text") ?? ""}`,
    "margin:0",
  ];
  const around = {
    ...createElement("div", {
      style: style.filter((declaration) => declaration).join(";"),
      ...(said("dir") ? { dir: said("dir") ?? "" } : {}),
    }),
    childNodes: message.body.childNodes,
  };
  return sheets + writeParts({ ...message.body, childNodes: [around] });
}
