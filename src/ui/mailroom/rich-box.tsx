"use client";

import { useState, type RefObject } from "react";
import { received } from "@/core/clients";

interface Props {
  readonly label: string;
  readonly box: RefObject<HTMLDivElement | null>;
  /** What stands in it at first: HTML that has been cleaned. */
  readonly initial: string;
  readonly onChange?: () => void;
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

const asHtml = (text: string): string =>
  text.replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll(/\r?\n/g, "<br>");

/** An editable box that takes a real paste and cleans it as this kind of webmail does. */
export function RichBox({ label, box, initial, onChange, className = "" }: Props) {
  // Set once: from then on it is the writer who changes it.
  const [first] = useState({ __html: initial });
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
        const pasted = html || asHtml(event.clipboardData.getData("text/plain"));
        insertAtSelection(event.currentTarget, received(pasted, "webmail-inline").html.trim());
        onChange?.();
      }}
      className={`mm-box ${className}`}
    />
  );
}
