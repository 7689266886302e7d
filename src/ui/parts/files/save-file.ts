/** A name that every disk takes, in small letters: "Short, for answers" is "short-for-answers". */
export const fileNameOf = (name: string, ending: string): string =>
  `${
    name
      .toLowerCase()
      .normalize("NFKD")
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-|-$/g, "") || "signature"
  }${ending}`;

/** Hands a file of text to the browser to be kept. */
export function saveFile(text: string, fileName: string, type = "text/html;charset=utf-8"): void {
  const address = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement("a");
  link.href = address;
  link.download = fileName;
  link.click();
  URL.revokeObjectURL(address);
}
