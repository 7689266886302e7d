/** Hands a file of text to the browser to be kept. */
export function saveFile(text: string, fileName: string, type = "text/html;charset=utf-8"): void {
  const address = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement("a");
  link.href = address;
  link.download = fileName;
  link.click();
  URL.revokeObjectURL(address);
}
