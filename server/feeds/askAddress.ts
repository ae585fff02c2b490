import { t } from "../../core/language/t.ts";
import { Deadline } from "../../core/time/deadline.ts";
import { LARGEST_FEED_BYTES } from "../files/tables/readTable.ts";

/** What a server said of itself when it answered last: it is asked only for what is newer. */
export interface AnswerMarks {
  readonly etag: string | null;
  readonly lastModified: string | null;
}
export const NO_MARKS: AnswerMarks = { etag: null, lastModified: null };

export type Asked =
  | { readonly bytes: Uint8Array; readonly marks: AnswerMarks }
  | { readonly unchanged: true }
  /** Why not, as the end of a sentence. */
  | { readonly gone: string };

const MOST_REDIRECTS = 3;
const LONGEST_ANSWER_MS = 10_000;

/** Whether an address is one of those that the server was started with: a name, or a name and a port. */
export function isAllowed(url: URL, allowedHosts: readonly string[]): boolean {
  if (url.protocol !== "http:" && url.protocol !== "https:") return false;
  if (url.username !== "" || url.password !== "") return false;
  const port = url.port || (url.protocol === "https:" ? "443" : "80");
  return allowedHosts.some(
    (allowed) =>
      allowed.toLowerCase() === url.hostname.toLowerCase() ||
      allowed.toLowerCase() === `${url.hostname.toLowerCase()}:${port}`,
  );
}

/**
 * Asks an address, with conditions (RFC 9110, section 13), a limit of size and of time. It goes on to another address only where
 * that one is allowed too.
 */
export async function askAddress(
  address: string,
  allowedHosts: readonly string[],
  marks: AnswerMarks,
  {
    longestMs = LONGEST_ANSWER_MS,
    signal,
  }: { readonly longestMs?: number; readonly signal?: AbortSignal } = {},
): Promise<Asked> {
  const deadline = new Deadline(longestMs, signal);
  let url = new URL(address);
  try {
    for (let hops = 0; hops <= MOST_REDIRECTS; hops++) {
      if (!isAllowed(url, allowedHosts))
        return {
          gone:
            hops === 0
              ? t`“${url.host}” is not among the hosts that the server was started with (--feed-host).`
              : t`it sends on to “${url.host}”, which is not among the hosts that the server was started with (--feed-host).`,
        };
      const response = await fetch(url, {
        redirect: "manual",
        signal: deadline.signal,
        headers: {
          ...(marks.etag && { "If-None-Match": marks.etag }),
          ...(marks.lastModified && { "If-Modified-Since": marks.lastModified }),
        },
      });
      const location = response.headers.get("location");
      if (response.status >= 300 && response.status < 400 && response.status !== 304 && location) {
        await response.body?.cancel();
        url = new URL(location, url);
        continue;
      }
      if (response.status === 304) return { unchanged: true };
      if (!response.ok) {
        await response.body?.cancel();
        return { gone: t`“${url.host}” answers ${response.status}.` };
      }
      if (/^text\/html\b/i.test(response.headers.get("content-type") ?? "")) {
        await response.body?.cancel();
        return { gone: t`“${url.host}” answers with a web page, not with data.` };
      }
      const bytes = await readLimited(response);
      if (!bytes) return { gone: t`its answer is larger than ${LARGEST_FEED_BYTES / 1024 / 1024} MB.` };
      return {
        bytes,
        marks: { etag: response.headers.get("etag"), lastModified: response.headers.get("last-modified") },
      };
    }
    return { gone: t`it sends on more than ${MOST_REDIRECTS} times.` };
  } catch {
    if (deadline.isLate)
      return { gone: t`“${url.host}” did not answer in full within ${longestMs / 1_000} s.` };
    return { gone: t`“${url.host}” cannot be reached.` };
  } finally {
    deadline.done();
  }
}

async function readLimited(response: Response): Promise<Uint8Array | undefined> {
  if (Number(response.headers.get("content-length") ?? 0) > LARGEST_FEED_BYTES) {
    await response.body?.cancel();
    return undefined;
  }
  const parts: Uint8Array[] = [];
  let size = 0;
  const reader = response.body?.getReader();
  for (;;) {
    const { value: part } = (await reader?.read()) ?? {};
    if (!part) return Buffer.concat(parts);
    size += part.length;
    if (size > LARGEST_FEED_BYTES) {
      await reader?.cancel();
      return undefined;
    }
    parts.push(part);
  }
}
