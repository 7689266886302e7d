/**
 * Putting things on the clipboard. A copy event carries its bytes as they are; the newer clipboard interface
 * would have the browser rewrite the HTML first, and it is not there on plain http addresses.
 */

export interface ClipboardContent {
  readonly text: string;
  /** Put beside the text in the same clipboard item. */
  readonly html?: string;
}

/** Answers whether the browser took it. Must be called while a key or the pointer is being handled. */
export function copyToClipboard({ text, html }: ClipboardContent): boolean {
  let taken = false;
  const fill = (event: ClipboardEvent): void => {
    if (!event.clipboardData) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    event.clipboardData.setData("text/plain", text);
    if (html !== undefined) event.clipboardData.setData("text/html", html);
    taken = true;
  };
  // Some browsers copy only where something is selected, so something is, for a moment.
  const selection = getSelection();
  const before = selection?.rangeCount ? selection.getRangeAt(0) : null;
  const held = document.body.appendChild(document.createElement("span"));
  held.textContent = ".";
  held.style.position = "fixed";
  held.style.opacity = "0";
  selection?.selectAllChildren(held);
  document.addEventListener("copy", fill, { capture: true });
  try {
    return document.execCommand("copy") && taken;
  } finally {
    document.removeEventListener("copy", fill, { capture: true });
    held.remove();
    selection?.removeAllRanges();
    if (before) selection?.addRange(before);
  }
}
