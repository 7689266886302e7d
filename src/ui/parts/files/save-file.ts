/** Hands a file to the browser to be kept. */
export function saveFile(
  content: string | Uint8Array<ArrayBuffer>,
  fileName: string,
  type = "text/html;charset=utf-8",
): void {
  const address = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement("a");
  link.href = address;
  link.download = fileName;
  link.click();
  URL.revokeObjectURL(address);
}
