import { expect, test } from "vitest";
import { SerialQueue } from "./serialQueue.ts";

test("one thing is done after another, in the order they were asked for", async () => {
  const queue = new SerialQueue();
  const done: string[] = [];
  let finish = () => {};
  const finished = new Promise<void>((resolve) => {
    finish = resolve;
  });
  const slow = queue.run(async () => {
    await finished;
    done.push("slow");
  });
  const quick = queue.run(async () => void done.push("quick"));
  expect(done).toEqual([]);
  finish();
  await Promise.all([slow, quick]);
  expect(done).toEqual(["slow", "quick"]);
});

test("one that fails tells who asked for it, and stops none of those after it", async () => {
  const queue = new SerialQueue();
  const failed = queue.run(async () => {
    throw new Error("the disk is full");
  });
  const next = queue.run(async () => "done all the same");
  await expect(failed).rejects.toThrow("the disk is full");
  await expect(next).resolves.toBe("done all the same");
  await expect(queue.idle()).resolves.toBeUndefined();
});
