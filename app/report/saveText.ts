/** Hands a text to the browser as a file to keep. */
export function saveText(name: string, mime: "text/csv" | "application/json", text: string): void {
  const url = URL.createObjectURL(new Blob([text], { type: `${mime};charset=utf-8` }));
  const link = document.createElement("a");
  link.href = url;
  link.download = name;
  link.click();
  // The file is read by then.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
