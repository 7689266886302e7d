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
  document.addEventListener("copy", fill, { capture: true });
  try {
    return document.execCommand("copy") && taken;
  } finally {
    document.removeEventListener("copy", fill, { capture: true });
  }
}
