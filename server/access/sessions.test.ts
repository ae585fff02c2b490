import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { emptyShow } from "../newShow.ts";
import { ContentStore } from "../store/contentStore.ts";
import { type Db, openDatabase } from "../store/database.ts";
import { LinkStore } from "../store/linkStore.ts";
import { createShow } from "../store/showStore.ts";
import { findEntry } from "./entry.ts";
import { DeskSessions } from "./sessions.ts";

const { show } = emptyShow();
const FIREFOX = "Mozilla/5.0 (Android 14; Mobile; rv:128.0) Gecko/128.0 Firefox/128.0";
let db: Db;
let nowMs = 1_000;
const load = async () => {
  const sessions = new DeskSessions(db, show.id, () => nowMs);
  await sessions.load();
  return sessions;
};

beforeAll(async () => {
  db = await openDatabase(":memory:");
  await createShow(db, new ContentStore(db), show, 0);
});
afterAll(() => db.destroy());

describe("browsers that were let in", () => {
  test("each has a cookie of its own, of which the database holds nothing that opens anything", async () => {
    const sessions = await load();
    const links = new LinkStore(db, show.id, () => 0);
    await links.load([]);
    const cookie = await sessions.begin("link", "10.0.0.9", FIREFOX);
    const found = sessions.findByCookie(cookie);
    if (!found) throw new Error("the cookie opens nothing");
    expect(found.session).toMatchObject({ name: "Firefox on Android", way: "link", address: "10.0.0.9" });
    expect(findEntry(found.liveToken, links, sessions)).toEqual({
      kind: "desk",
      token: found.liveToken,
      sessionId: found.session.id,
    });
    // The token that its pages say is no cookie, and the cookie is no token.
    expect(sessions.findByCookie(found.liveToken)).toBeUndefined();
    expect(findEntry(cookie, links, sessions)).toBeUndefined();
    const rows = JSON.stringify(await db.selectFrom("desk_session").selectAll().execute());
    for (const secret of [cookie, found.liveToken]) expect(rows).not.toContain(secret);
    expect((await load()).findByCookie(cookie)?.session.id).toBe(found.session.id);
    expect(findEntry(links.hereToken, links, sessions)).toMatchObject({ kind: "desk", sessionId: null });
    expect(findEntry("constructor", links, sessions)).toBeUndefined();
  });

  test("one is ended by itself, all but one's own at once, or those that came by the link", async () => {
    const sessions = await load();
    await sessions.endAll(null);
    const [first, second, third] = [
      await sessions.begin("link", "10.0.0.1", FIREFOX),
      await sessions.begin("passcode", "10.0.0.2", FIREFOX),
      await sessions.begin("link", "10.0.0.3", ""),
    ];
    const idOf = (cookie: string) => sessions.findByCookie(cookie)?.session.id ?? null;
    const ended: string[] = [];
    sessions.onEnded((id) => ended.push(id));
    const own = idOf(third);
    await sessions.endAll(own, "link");
    expect([idOf(first), idOf(second) !== null, idOf(third)]).toEqual([null, true, own]);
    await sessions.endAll(own);
    expect(sessions.list().map(({ id, name }) => [id, name])).toEqual([[own, "A program"]]);
    expect(await sessions.end(own ?? "")).toBe(true);
    expect(await sessions.end(own ?? "")).toBe(false);
    expect(ended).toContain(own);
  });

  test("one that was not here for half a year is over; one that was, is not", async () => {
    const sessions = await load();
    const cookie = await sessions.begin("link", "10.0.0.9", FIREFOX);
    const id = sessions.findByCookie(cookie)?.session.id ?? "";
    nowMs += 170 * 86_400_000;
    await sessions.seen(id, "10.0.0.8");
    nowMs += 170 * 86_400_000;
    expect((await load()).findByCookie(cookie)?.session.address).toBe("10.0.0.8");
    nowMs += 20 * 86_400_000;
    expect((await load()).findByCookie(cookie)).toBeUndefined();
  });
});
