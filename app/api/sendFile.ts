import { type Answered, readAnswer } from "./call.ts";
import { deskHeaders } from "./deskHeaders.ts";

export interface SendingFile<T> {
  /** Undefined when it could not be sent, or was called off. */
  readonly answer: Promise<Answered<T> | undefined>;
  readonly callOff: () => void;
}

/**
 * Sends a file as it is, with what is said about it in the address.
 * @param onProgress how much of it is sent, 0 to 1; 1 while the server looks at it
 */
export function sendFile<T>(
  path: string,
  about: Readonly<Record<string, string>>,
  file: Blob,
  onProgress: (share: number) => void = () => {},
): SendingFile<T> {
  // fetch does not say how much of a body is sent.
  const request = new XMLHttpRequest();
  const answer = new Promise<Answered<T> | undefined>((resolve) => {
    request.upload.onprogress = ({ loaded, total }) => onProgress(total > 0 ? loaded / total : 0);
    request.onload = () => resolve(readAnswer<T>(request.responseText, request.status));
    request.onerror = () => resolve(undefined);
    request.onabort = () => resolve(undefined);
  });
  request.open("POST", `${path}?${new URLSearchParams(about)}`);
  request.setRequestHeader("Content-Type", "application/octet-stream");
  for (const [name, value] of Object.entries(deskHeaders())) request.setRequestHeader(name, value);
  request.send(file);
  return { answer, callOff: () => request.abort() };
}
