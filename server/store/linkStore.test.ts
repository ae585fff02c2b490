import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { emptyShow } from "../newShow.ts";
import { ContentStore } from "./contentStore.ts";
import { type Db, openDatabase } from "./database.ts";
import { LinkStore } from "./linkStore.ts";
import { createShow } from "./showStore.ts";

const { show } = emptyShow();
const HOUR_MS = 3_600_000;
let db: Db;
let nowMs = HOUR_MS;
const load = async () => {
  const links = new LinkStore(db, show.id, () => nowMs);
  await links.load(["wall"]);
  return links;
};
const PHONE = { name: "Aisle", can: "all", view: "both", isHeld: false, outputId: "" } as const;

beforeAll(async () => {
  db = await openDatabase(":memory:");
  await createShow(db, new ContentStore(db), show, 0);
});
afterAll(() => db.destroy());

describe("links that end by themselves", () => {
  test("open nothing from then on, let go of whoever came by them once, and open again when they are given more time", async () => {
    const links = await load();
    const gone: string[] = [];
    links.onRevoked((token) => gone.push(token));
    const token = await links.make("remote", "aisle", { ...PHONE, untilMs: 2 * HOUR_MS });
    const lasting = await links.make("remote", "lasting", { ...PHONE, untilMs: null });
    nowMs = 2 * HOUR_MS - 1;
    links.lookForEnded();
    expect(links.find(token)?.kind).toBe("remote");
    expect(gone).toEqual([]);
    nowMs = 2 * HOUR_MS;
    expect(links.find(token)).toBeUndefined();
    links.lookForEnded();
    links.lookForEnded();
    expect(gone).toEqual([token]);
    // It is still listed at the desk, after another start too.
    const again = await load();
    expect(again.find(token)).toBeUndefined();
    expect(again.findMade("remote", "aisle")?.doc.untilMs).toBe(2 * HOUR_MS);
    await links.change("remote", "aisle", { ...PHONE, untilMs: 3 * HOUR_MS });
    expect(links.find(token)?.kind).toBe("remote");
    links.lookForEnded();
    nowMs = 3 * HOUR_MS;
    links.lookForEnded();
    expect(gone).toEqual([token, token]);
    nowMs = 1e12;
    links.lookForEnded();
    expect(links.find(lasting)?.kind).toBe("remote");
    expect(links.find(links.tokenOfOutput("wall"))?.kind).toBe("output");
    expect(links.find(links.deskToken)?.kind).toBe("desk");
  });
});
