import { t } from "../../core/language/t.ts";
import { problemOf } from "../../core/wire/problem.ts";
import { type Answered, ask } from "../api/call.ts";
import { sendFile } from "../api/sendFile.ts";

const PIECE_BYTES = 8 * 1024 * 1024;
const TRIES = 5;
const TRY_AGAIN_MS = 1_000;

/**
 * Sends a file in pieces; what is there already of it, from before a network or a server was lost, is not sent again.
 * @param onShare how much of it is there, 0 to 1
 * @returns the id under which it is there, whole
 */
export async function sendShowFile(
  file: File,
  onShare: (share: number) => void,
  signal: AbortSignal,
): Promise<Answered<{ readonly id: string }>> {
  const about = new URLSearchParams({
    name: file.name.slice(0, 300),
    bytes: String(file.size),
    changedAtMs: String(file.lastModified),
  });
  let failed = 0;
  while (!signal.aborted) {
    const expected = await ask("/files/show/have", `?${about}`);
    if ("problem" in expected && expected.problem.code !== "unreachable") return expected;
    const sent = "value" in expected ? await sendRest(file, expected.value, onShare, signal) : undefined;
    if (sent && "problem" in sent) return sent;
    if (sent?.value === file.size && "value" in expected) return { value: { id: expected.value.id } };
    // Each try begins where the last one came to; only one that came no further counts.
    failed = sent && "value" in expected && sent.value > expected.value.have ? 0 : failed + 1;
    if (failed >= TRIES) return problemOf("unreachable", BROKEN_OFF);
    await new Promise((resolve) => setTimeout(resolve, TRY_AGAIN_MS));
  }
  return problemOf("refused", t`“${file.name}” was called off. Choose it again to go on where it stopped.`);
}

const BROKEN_OFF = t`The server cannot be reached, so the file is there in part only. Nothing was opened. Choose it again later: it goes on where it stopped.`;

/** @returns how much is there; a problem when it is not taken at all */
async function sendRest(
  file: File,
  { id, have }: { readonly id: string; readonly have: number },
  onShare: (share: number) => void,
  signal: AbortSignal,
): Promise<Answered<number>> {
  let at = have;
  onShare(file.size === 0 ? 1 : at / file.size);
  while (at < file.size && !signal.aborted) {
    const piece = file.slice(at, at + PIECE_BYTES);
    const sending = sendFile<{ have: number }>("/files/show/piece", { id, at: String(at) }, piece, (share) =>
      onShare((at + share * piece.size) / file.size),
    );
    signal.addEventListener("abort", sending.callOff, { once: true });
    const answer = await sending.answer;
    signal.removeEventListener("abort", sending.callOff);
    if (!answer) return { value: at };
    if ("problem" in answer) return answer.problem.code === "failed" ? { value: at } : answer;
    if (answer.value.have <= at) return { value: at };
    at = answer.value.have;
  }
  return { value: at };
}
