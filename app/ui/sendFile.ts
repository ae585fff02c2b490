/** Sends a file as it is, with what is said about it in the address. @returns the answer; undefined when it could not be sent */
export async function sendFile<T>(
  path: string,
  about: Readonly<Record<string, string>>,
  file: Blob,
): Promise<T | undefined> {
  try {
    const response = await fetch(`${path}?${new URLSearchParams(about)}`, {
      method: "POST",
      headers: { "Content-Type": "application/octet-stream" },
      body: file,
    });
    return (await response.json()) as T;
  } catch {
    return undefined;
  }
}
