import { afterEach, describe, expect, test, vi } from "vitest";
import { asOutcome, call } from "./call.ts";

afterEach(() => vi.unstubAllGlobals());
const answerWith = (answer: () => Promise<Response>) => vi.stubGlobal("fetch", answer);
const ask = () => call("/licence", { licence: "40118" });

describe("what a request is answered with", () => {
  test("what was asked for is passed on", async () => {
    answerWith(async () => Response.json({ kind: "saved" }));
    expect(await ask()).toEqual({ value: { kind: "saved" } });
  });

  test("a refusal has a sentence and a code, and a save takes it for a refusal", async () => {
    const problem = { code: "refused", sentence: "No. Nothing was changed." } as const;
    answerWith(async () => Response.json({ problem }, { status: 409 }));
    expect(await ask()).toEqual({ problem });
    expect(asOutcome(await ask())).toEqual({ kind: "refused", sentence: problem.sentence });
  });

  test("a failure of the server is not told as a server that cannot be reached", async () => {
    answerWith(async () => new Response("<html>Unexpected Server Error</html>", { status: 500 }));
    expect(await ask()).toMatchObject({
      problem: { code: "failed", sentence: expect.stringContaining("failed in the server itself (500)") },
    });
    answerWith(async () => Response.json({ unheardOf: true }, { status: 502 }));
    expect(await ask()).toMatchObject({ problem: { code: "failed" } });
    answerWith(async () => new Response("", { status: 413 }));
    expect(await ask()).toMatchObject({ problem: { code: "tooLarge" } });
  });

  test("a server that cannot be reached says so", async () => {
    answerWith(async () => Promise.reject(new TypeError("Failed to fetch")));
    expect(await ask()).toMatchObject({ problem: { code: "unreachable" } });
  });
});
