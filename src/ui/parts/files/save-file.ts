/** Hands an HTML file to the browser to be kept. */
export function saveFile(html: string, fileName: string): void {
  const address = URL.createObjectURL(new Blob([html], { type: "text/html;charset=utf-8" }));
  const link = document.createElement("a");
  link.href = address;
  link.download = fileName;
  link.click();
  URL.revokeObjectURL(address);
}
