import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { ImageShelf } from "./imageShelf.ts";

/** Pictures of a window whose server answers when, and as, it is told to. */
let answers: ((isThere: boolean) => void)[] = [];

beforeEach(() => {
  vi.useFakeTimers();
  answers = [];
  vi.stubGlobal(
    "Image",
    class {
      src = "";
      decode = () =>
        new Promise<void>((resolve, reject) =>
          answers.push((isThere) => (isThere ? resolve() : reject(new Error("no such file")))),
        );
    },
  );
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

test("a picture is on its way until it is here, and missing only between a try that failed and one that did not", async () => {
  const shelf = new ImageShelf((file) => `/media/${file}`);
  const told: string[] = [];
  const end = shelf.onLoaded((file) => told.push(file));
  expect(shelf.find("bed")).toBe("loading");
  expect(shelf.find("bed")).toBe("loading");
  expect(answers).toHaveLength(1);

  answers[0]?.(false);
  await vi.advanceTimersByTimeAsync(1_000);
  expect(shelf.find("bed")).toBe("missing");
  expect(told).toEqual(["bed"]);
  // It is asked for again by itself; failing once more is nothing new.
  expect(answers).toHaveLength(2);
  answers[1]?.(false);
  await vi.advanceTimersByTimeAsync(2_000);
  expect(told).toEqual(["bed"]);

  answers[2]?.(true);
  await vi.advanceTimersByTimeAsync(0);
  expect(shelf.find("bed")).toMatchObject({ src: "/media/bed" });
  expect(told).toEqual(["bed", "bed"]);
  end();
});
