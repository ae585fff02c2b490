import { afterEach, describe, expect, test, vi } from "vitest";
import { postJson } from "./postJson.ts";

afterEach(() => vi.unstubAllGlobals());
const answerWith = (answer: () => Promise<Response>) => vi.stubGlobal("fetch", answer);

describe("what a request is answered with", () => {
  test("an answer is passed on, whatever its status", async () => {
    answerWith(async () => Response.json({ sentence: "No." }, { status: 409 }));
    expect(await postJson("/x", {})).toEqual({ sentence: "No." });
  });

  test("a failure of the server is not told as a server that cannot be reached", async () => {
    answerWith(async () => new Response("<html>Unexpected Server Error</html>", { status: 500 }));
    expect(await postJson("/x", {})).toMatchObject({
      kind: "refused",
      sentence: expect.stringContaining("failed in the server itself (500)"),
      problem: expect.stringContaining("(500)"),
    });
  });

  test("a server that cannot be reached gives nothing", async () => {
    answerWith(async () => Promise.reject(new TypeError("Failed to fetch")));
    expect(await postJson("/x", {})).toBeUndefined();
  });
});
