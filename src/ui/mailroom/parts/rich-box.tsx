"use client";

import { useState, type RefObject } from "react";
import { drawnFrom } from "@/contract";
import { received, type StandInId } from "@/core/clients";
import { escapeText } from "@/core/html";

interface Props {
  readonly label: string;
  readonly box: RefObject<HTMLDivElement | null>;
  /** What stands in it at first: HTML that has been cleaned. */
  readonly initial: string;
  /** The kind of client that cleans what is pasted. */
  readonly standIn: StandInId;
  /** Where pictures that are no addresses of the network are drawn from, by content id. */
  readonly pictures?: Readonly<Record<string, string>>;
  readonly onChange?: () => void;
  /** Is told that something was pasted. */
  readonly onPaste?: () => void;
  readonly className?: string;
}

/** Puts HTML in place of what is selected in an editable box, with the cursor after it. */
function insertAtSelection(box: HTMLElement, html: string): void {
  const selection = getSelection();
  if (!selection) return;
  const range = selection.rangeCount > 0 ? selection.getRangeAt(0) : document.createRange();
  if (!box.contains(range.commonAncestorContainer)) {
    range.selectNodeContents(box);
    range.collapse(false);
  }
  range.deleteContents();
  const parts = range.createContextualFragment(html);
  const last = parts.lastChild;
  range.insertNode(parts);
  if (last) range.setStartAfter(last);
  range.collapse(true);
  selection.removeAllRanges();
  selection.addRange(range);
}

/** Plain text as HTML, its lines parted. */
export const htmlOfLines = (text: string): string => escapeText(text).replaceAll(/\r?\n/g, "<br>");

/** The attribute that holds where a picture truly is, while it is drawn from somewhere here. */
const trueAddress = "data-address";

/** HTML as it is drawn in a box: pictures that the client has itself, and those at invented addresses, from here. */
export function drawnInBox(html: string, pictures: Readonly<Record<string, string>> = {}): string {
  const own = new Map(Object.entries(pictures));
  return html.replace(/ src="(cid:|https?:\/\/)([^"]+)"/g, (whole, scheme: string, rest: string) => {
    const address = scheme + rest;
    const here = scheme === "cid:" ? (own.get(rest) ?? address) : drawnFrom(address);
    return here === address ? whole : ` src="${here.replaceAll("&", "&amp;")}" ${trueAddress}="${address}"`;
  });
}

/** What is copied from a screen here names pictures where they are drawn: they are where they truly are again. */
const withTrueAddresses = (html: string): string =>
  html.replaceAll(/ src="https?:\/\/[^"/]+\/invented-sites\/([^"]+)"/g, ' src="https://$1"');

/** What is written in a box, as it is sent: with pictures at their true addresses; empty before there is one. */
export function writtenIn(box: HTMLElement | null): string {
  if (!box) return "";
  // In a document of its own nothing is fetched: what is attached has no address that a browser knows.
  const copy = document.implementation.createHTMLDocument().importNode(box, true);
  for (const picture of copy.querySelectorAll(`[${trueAddress}]`)) {
    picture.setAttribute("src", picture.getAttribute(trueAddress) ?? "");
    picture.removeAttribute(trueAddress);
  }
  // Each line says in which direction it was typed; few mail clients read it off the letters.
  const lines = box.querySelectorAll<HTMLElement>("[dir=auto]");
  copy.querySelectorAll("[dir=auto]").forEach((line, index) => {
    const typed = lines[index];
    if (typed && getComputedStyle(typed).direction === "rtl") line.setAttribute("dir", "rtl");
    else line.removeAttribute("dir");
  });
  return copy.innerHTML;
}

/** An editable box that takes a real paste and cleans it as its kind of client does. */
export function RichBox({
  label,
  box,
  initial,
  standIn,
  pictures,
  onChange,
  onPaste,
  className = "",
}: Props) {
  // Set once: from then on it is the writer who changes it.
  const [first] = useState({ __html: drawnInBox(initial, pictures) });
  return (
    <div
      ref={box}
      role="textbox"
      aria-multiline
      aria-label={label}
      tabIndex={0}
      contentEditable
      suppressContentEditableWarning
      dangerouslySetInnerHTML={first}
      onInput={onChange}
      onPaste={(event) => {
        event.preventDefault();
        const html = event.clipboardData.getData("text/html");
        const pasted = withTrueAddresses(html || htmlOfLines(event.clipboardData.getData("text/plain")));
        insertAtSelection(event.currentTarget, drawnInBox(received(pasted, standIn).html.trim(), pictures));
        onPaste?.();
        onChange?.();
      }}
      className={`desk-box ${className}`}
    />
  );
}
