import { t } from "../../../core/language/t.ts";
import { readAnswer } from "../../api/call.ts";
import { deskHeaders } from "../../api/deskHeaders.ts";

/**
 * Slides as the program shows them that the server was started with.
 * @returns a sentence where that could not be
 */
export async function convertSlides(
  file: File,
): Promise<{ readonly pdf: File } | { readonly problem: string }> {
  const ending = file.name.slice(-5).toLowerCase();
  try {
    const response = await fetch(`/files/slides?${new URLSearchParams({ ending })}`, {
      method: "POST",
      headers: { "Content-Type": "application/octet-stream", ...deskHeaders() },
      body: file,
    });
    if (response.ok)
      return {
        pdf: new File([await response.blob()], file.name.replace(/\.[^.]+$/, ".pdf"), {
          type: "application/pdf",
        }),
      };
    const answer = readAnswer<never>(await response.text(), response.status);
    return { problem: "problem" in answer ? answer.problem.sentence : "" };
  } catch {
    return { problem: t`The server cannot be reached.` };
  }
}
