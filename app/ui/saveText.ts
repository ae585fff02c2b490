/** Hands a text to the browser as a file to keep. */
export function saveText(
  name: string,
  mime: "text/csv" | "text/markdown" | "text/plain" | "text/vtt" | "application/json",
  text: string,
): void {
  saveBlob(name, new Blob([text], { type: `${mime};charset=utf-8` }));
}

/** Hands what was made to the browser as a file to keep. */
export function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement("a");
  link.href = url;
  link.download = name;
  link.click();
  // The file is read by then.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
