import { afterAll, beforeAll, beforeEach, expect, test } from "vitest";
import type { RemoteLink, RemotePress } from "../../core/remote/remoteLink.ts";
import { remoteLinkSchema } from "../../core/remote/remoteLink.ts";
import type { ServerMessage } from "../../core/wire/wire.ts";
import { type OpenShow, openShow, TestWindow } from "../../test-support/openShow.ts";

let show: OpenShow;
beforeAll(async () => {
  show = await openShow(":memory:");
});
afterAll(() => show.close());
let count = 0;
beforeEach(async () => {
  await show.services.host.submit({ kind: "beginAnew", id: `begin-anew-${count}` }, { kind: "timer" });
});

type Told = Extract<ServerMessage, { kind: "remote" }>;

/** A phone, with what it last heard. */
async function phone(link: Partial<RemoteLink>) {
  const id = `phone-${count++}`;
  const token = await show.services.links.make(
    "remote",
    id,
    remoteLinkSchema.parse({ name: `Phone ${count}`, can: "all", ...link }),
  );
  const window = new TestWindow(show.port);
  await window.join(token, `window-${id}`);
  await window.until("remote");
  const told = (): Told =>
    window.heard.findLast((message): message is Told => message.kind === "remote") as Told;
  return {
    id,
    window,
    told,
    press: async (press: RemotePress, more: { seen?: string; atMs?: number } = {}) => {
      const pressId = `press-${count++}-of-${id}`;
      const { seen = told().view.seen, atMs = show.services.now() } = more;
      window.send({ kind: "press", id: pressId, press, seen, atMs });
      return window.until("answer", (message) => message.id === pressId);
    },
    sees: (fits: (told: Told) => boolean) => window.until("remote", fits),
  };
}

test("a phone sees what is on air and next, and takes it; the log says who it was", async () => {
  const leader = await phone({ name: "Teodor", can: "next", view: "next" });
  const first = leader.told().view.next;
  const actors: unknown[] = [];
  show.services.host.onEvent(({ actor }) => actors.push(actor));
  expect(first).not.toBeNull();
  expect(await leader.press("take")).toMatchObject({ refused: null });
  const { view } = await leader.sees(({ view }) => view.now?.cueId === first?.cueId);
  expect(view.now).toMatchObject({ isOnAir: true, words: first?.words });
  expect(actors).toContainEqual(expect.objectContaining({ kind: "remote", name: "Teodor" }));
});

test("what its link does not say it may not do, and neither more", async () => {
  const looks = await phone({ can: "look" });
  const next = await phone({ can: "next" });
  for (const press of ["take", "back", "out"] as const)
    expect(await looks.press(press)).toMatchObject({ refused: "notAllowed" });
  expect(await next.press("out")).toMatchObject({ refused: "notAllowed" });
  // Whatever a desk may say is not a phone's to say.
  next.window.send({
    kind: "command",
    command: { kind: "clearEverything", id: "clear-by-phone", how: "cut" },
  });
  expect((await next.window.until("fault")).sentence).toContain("only show");
  expect(
    next.window.heard.some(({ kind }) => kind === "welcome" || kind === "rundown" || kind === "venue"),
  ).toBe(false);
});

test("a press that is more than a second old is dropped and told; a younger one is not", async () => {
  const hand = await phone({});
  const before = hand.told().view.seen;
  const late = await hand.press("take", { atMs: show.services.now() - 1_400 });
  expect(late).toMatchObject({ refused: "tooLate" });
  expect(late.sentence).toMatch(/1\.\d seconds on its way/);
  expect(
    show.services.live.remoteTold(show.services.links.findMade("remote", hand.id) as never).view.seen,
  ).toBe(before);
  expect(await hand.press("take", { atMs: show.services.now() - 600 })).toMatchObject({ refused: null });
});

test("of several who press at once for the same, one step is taken, and the others are told", async () => {
  const hands = await Promise.all(Array.from({ length: 6 }, () => phone({ can: "next" })));
  const [first] = hands as [(typeof hands)[number]];
  for (let round = 0; round < 5; round++) {
    const { seen, next } = first.told().view;
    const answers = await Promise.all(hands.map((hand) => hand.press("take", { seen })));
    expect(answers.filter(({ refused }) => refused === null).length).toBe(1);
    expect(answers.filter(({ refused }) => refused === "airMoved").length).toBe(5);
    const taken = await first.sees(
      ({ view }) =>
        view.seen !== seen &&
        JSON.stringify(view.now?.step) === JSON.stringify(next?.step) &&
        view.now?.cueId === next?.cueId,
    );
    expect(taken.view.now?.words).toBe(next?.words);
  }
});

test("a link that is ended closes its phones, and lets nobody in again; changed, they know at once", async () => {
  const hand = await phone({ can: "look" });
  const link = show.services.links.findMade("remote", hand.id);
  if (!link) throw new Error("no link");
  await show.services.links.change("remote", hand.id, { ...link.doc, can: "all" });
  show.services.live.tellRemotes();
  await hand.sees(({ link }) => link.can === "all");
  expect(await hand.press("take")).toMatchObject({ refused: null });
  await show.services.links.end("remote", hand.id);
  expect(await hand.window.untilClosed()).toBe(4401);
  const again = new TestWindow(show.port);
  await again.join(link.token);
  expect(await again.untilClosed()).toBe(4401);
});

test("desks see who is there", async () => {
  const desk = new TestWindow(show.port);
  await desk.join(show.services.links.hereToken, "desk-under-test");
  const hand = await phone({ name: "Brisa", can: "look" });
  await desk.until("desks", ({ remotes }) =>
    remotes.some(({ name, can }) => name === "Brisa" && can === "look"),
  );
  hand.window.socket.close();
  await desk.until("desks", ({ remotes }) => !remotes.some(({ name }) => name === "Brisa"));
});
