import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { emptyField } from "../../core/findings/kinds/emptyField.ts";
import type { Actor } from "../../core/show/actor.ts";
import type { Command } from "../../core/show/commands.ts";
import type { ShowState } from "../../core/show/state.ts";
import { USUAL_VENUE } from "../../core/show/venueSettings.ts";
import type { Channel, ClientMessage, ServerMessage } from "../../core/wire/wire.ts";
import { STARTER_OUTPUTS, STARTER_PLAN } from "../../designs/starterScreens.ts";
import { Clocked } from "../../test-support/clocked.ts";
import { DESK, openedState, prepareBench, readyCues, strap } from "../../test-support/contents.ts";
import { DeskStore } from "./deskStore.ts";

const bench = prepareBench();

/** The server's end of a window's socket: it hears, and says what the test says. */
class Socket {
  static readonly OPEN = 1;
  static all: Socket[] = [];
  readyState = 0;
  readonly heard: ClientMessage[] = [];
  onopen: (() => void) | undefined;
  onmessage: ((event: { data: string }) => void) | undefined;
  onclose: ((event: { code: number }) => void) | undefined;

  constructor() {
    Socket.all.push(this);
  }
  static get last(): Socket {
    return Socket.all.at(-1) as Socket;
  }
  send(text: string): void {
    this.heard.push(JSON.parse(text) as ClientMessage);
  }
  close(code = 1005): void {
    if (this.readyState === 3) return;
    this.readyState = 3;
    this.onclose?.({ code });
  }
  open(): void {
    this.readyState = 1;
    this.onopen?.();
  }
  say(message: ServerMessage): void {
    this.onmessage?.({ data: JSON.stringify(message) });
  }
  welcome(state: ShowState, channel: Channel = "air"): void {
    const outputs = STARTER_OUTPUTS;
    this.say({
      kind: "welcome",
      serverAtMs: 0,
      buildId: "b",
      state,
      outputs,
      plans: [STARTER_PLAN],
      channel,
      outputId: null,
    });
  }
  get commands(): Command[] {
    return this.heard.flatMap((message) => (message.kind === "command" ? [message.command] : []));
  }
}

const kept = new Map<string, string>();
const storage = {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => void kept.set(key, value),
};

beforeEach(() => {
  vi.useFakeTimers();
  Socket.all = [];
  kept.clear();
  vi.stubGlobal("WebSocket", Socket);
  vi.stubGlobal("location", { protocol: "http:", host: "desk.test" });
  vi.stubGlobal("sessionStorage", storage);
  vi.stubGlobal("localStorage", storage);
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** A desk with two straps, connected; and a show that decides as the server does. */
function setUp() {
  const cues = readyCues(bench, [strap("Ilse"), strap("Odhran"), strap("Brisa")]);
  const show = new Clocked(cues);
  const store = new DeskStore({
    fieldSets: [],
    outfits: [],
    deskToken: "token",
    buildId: "b",
    state: openedState(),
    outputs: STARTER_OUTPUTS,
    plans: [STARTER_PLAN],
    cues: cues.map(({ cueId, doc, hash }) => ({ cueId, revision: 1, doc, compiled: { hash } })),
    rundownStamp: "stamp-1",
    documents: Object.fromEntries(bench.documents),
    screens: [],
    venue: USUAL_VENUE,
    evening: { id: "e", name: "Evening", day: "", startsAt: "", endsAt: "", copiedCues: 0 },
  });
  const connect = (channel: Channel = "air") => {
    Socket.last.open();
    Socket.last.welcome(show.state, channel);
  };
  /** Decides on a command as the server would, and tells the desk. */
  const decide = (command: Command) => {
    const before = show.logged.length;
    const sentence = show.press(command, { kind: "desk", id: store.windowId });
    for (const logged of show.logged.slice(before)) Socket.last.say({ kind: "event", logged });
    Socket.last.say({ kind: "answer", id: command.id, refused: null, sentence });
  };
  store.connect();
  return { store, show, cues, connect, decide };
}

/** Something that another hand does. */
function doElsewhere(show: Clocked, act: () => void): void {
  const before = show.logged.length;
  act();
  for (const logged of show.logged.slice(before)) Socket.last.say({ kind: "event", logged });
}

describe("a key whose meaning has just changed by itself", () => {
  test("take does nothing for 700 ms after another hand has armed something else, and says so", () => {
    const { store, show, cues, connect } = setUp();
    connect();
    const [, , third] = cues;
    if (!third) throw new Error("no third cue");
    const target = { cueId: third.cueId, content: third.hash, step: { occurrence: "page", unit: 0 } };
    doElsewhere(show, () => show.press({ kind: "arm", id: "armed-elsewhere", target }));
    vi.advanceTimersByTime(500);
    store.air.take("usual");
    expect(Socket.last.commands).toHaveLength(0);
    expect(store.getSnapshot().notice?.sentence).toContain("what comes next changed by itself");
    vi.advanceTimersByTime(300);
    store.air.take("usual");
    expect(Socket.last.commands).toMatchObject([{ kind: "take", target: { cueId: third.cueId } }]);
  });

  test("out names its target, and does nothing when that has just left or come", () => {
    const { store, show, connect, decide } = setUp();
    connect();
    store.air.take("cut");
    decide(Socket.last.commands[0] as Command);
    vi.advanceTimersByTime(1_000);
    doElsewhere(show, () => show.press({ kind: "clear", id: "cleared-elsewhere", how: "cut" }));
    doElsewhere(show, () => void show.take(1));
    store.air.out();
    store.air.layerOut("titles");
    expect(Socket.last.commands).toHaveLength(1);
    expect(store.getSnapshot().notice?.sentence).toContain("“Titles out” was not used");
    vi.advanceTimersByTime(701);
    store.air.out();
    expect(Socket.last.commands.at(-1)).toMatchObject({ kind: "out", layerId: "titles", seen: "cue-2" });
  });

  test("what this desk did itself is no surprise: it may press at once", () => {
    const { store, connect, decide } = setUp();
    connect();
    store.air.take("cut");
    decide(Socket.last.commands[0] as Command);
    store.air.take("cut");
    expect(Socket.last.commands).toHaveLength(2);
  });

  test("an arm of this desk that another hand took away is told", () => {
    const { store, show, cues, connect, decide } = setUp();
    connect();
    const [, second] = cues;
    if (!second) throw new Error("no second cue");
    store.air.arm({ cueId: second.cueId, content: second.hash, step: { occurrence: "page", unit: 0 } });
    decide(Socket.last.commands[0] as Command);
    doElsewhere(show, () => void show.take(2));
    expect(store.getSnapshot().notice?.sentence).toContain("is not armed any more");
  });

  test("undo puts back what this desk did, not what another did since", () => {
    const { store, show, connect, decide } = setUp();
    connect();
    store.air.take("cut");
    decide(Socket.last.commands[0] as Command);
    const own = Socket.last.commands[0]?.id;
    doElsewhere(show, () =>
      show.press({ kind: "shut", id: "shut-elsewhere", outputIds: null, picture: "black" }),
    );
    vi.advanceTimersByTime(1_000);
    store.air.undo();
    expect(Socket.last.commands.at(-1)).toMatchObject({ kind: "undo", actId: own });
  });
});

describe("presses of a desk", () => {
  test("one at a time: a press made meanwhile is worked out against the air as it is then", () => {
    const { store, cues, connect, decide } = setUp();
    connect();
    store.air.take("cut");
    store.air.take("cut");
    expect(Socket.last.commands).toHaveLength(1);
    expect(store.getSnapshot().waiting).toBe(true);
    decide(Socket.last.commands[0] as Command);
    const takes = Socket.last.commands.flatMap((command) =>
      command.kind === "take" ? [command.target.cueId] : [],
    );
    expect(takes).toEqual([cues[0]?.cueId, cues[1]?.cueId]);
    decide(Socket.last.commands[1] as Command);
    expect(store.getSnapshot().waiting).toBe(false);
    expect(store.getSnapshot().next?.cueId).toBe(cues[2]?.cueId);
  });

  test("what waits behind a refusal is dropped, with the reason said; a flurry does not play out long after", () => {
    const { store, connect } = setUp();
    connect();
    for (let i = 0; i < 12; i++) store.air.take("cut");
    const first = Socket.last.commands[0] as Command;
    Socket.last.say({ kind: "answer", id: first.id, refused: "airMoved", sentence: "The air has moved." });
    expect(Socket.last.commands).toHaveLength(1);
    expect(store.getSnapshot().notice?.sentence).toBe("The air has moved.");
    // An answer to something else changes nothing.
    Socket.last.say({ kind: "answer", id: "another", refused: null, sentence: "Not this one." });
    expect(store.getSnapshot().notice?.sentence).toBe("The air has moved.");
    for (let i = 0; i < 12; i++) store.air.press({ kind: "hold" });
    for (let at = 1; at < Socket.last.commands.length; at++)
      Socket.last.say({
        kind: "answer",
        id: (Socket.last.commands[at] as Command).id,
        refused: null,
        sentence: null,
      });
    // One on its way and four behind it.
    expect(Socket.last.commands).toHaveLength(1 + 5);
  });

  test("a watching desk sends nothing; at the end of the rundown a take says so", () => {
    const { store, connect, decide } = setUp();
    connect();
    store.setMode("watching");
    store.air.take("usual");
    expect(Socket.last.commands).toHaveLength(0);
    expect(store.getSnapshot().notice?.sentence).toContain("only watches");
    store.setMode("free");
    for (let i = 0; i < 3; i++) {
      store.air.take("cut");
      decide(Socket.last.commands.at(-1) as Command);
    }
    store.air.take("cut");
    expect(Socket.last.commands).toHaveLength(3);
    expect(store.getSnapshot().notice?.sentence).toContain("last step of the rundown");
  });

  test("a server that does not answer is told of after two seconds, and nothing is sent again by itself", () => {
    const { store, connect } = setUp();
    connect();
    store.air.take("cut");
    store.air.take("cut");
    vi.advanceTimersByTime(2_000);
    expect(store.getSnapshot().waiting).toBe(true);
    vi.advanceTimersByTime(300);
    expect(store.getSnapshot().waiting).toBe(false);
    expect(store.getSnapshot().notice?.sentence).toContain("not answered");
    expect(Socket.last.commands).toHaveLength(1);
  });
});

describe("a desk's connection", () => {
  test("lost, it says so, sends nothing, and comes back with what it knows of the rundown", () => {
    const { store, connect } = setUp();
    connect();
    Socket.last.close(1006);
    expect(store.getSnapshot().status.kind).toBe("lost");
    store.air.take("cut");
    expect(store.getSnapshot().notice?.sentence).toContain("no connection");
    vi.advanceTimersByTime(200);
    expect(Socket.all).toHaveLength(2);
    connect();
    expect(Socket.last.heard[0]).toMatchObject({ kind: "hello", token: "token", rundownStamp: "stamp-1" });
    expect(Socket.last.commands).toEqual([]);
    expect(store.getSnapshot().status.kind).toBe("open");
  });

  test("an event that does not follow on the last makes it connect anew; a refused link does not", () => {
    const { show, store, connect } = setUp();
    connect();
    Socket.last.say({
      kind: "event",
      logged: { seq: 9, atMs: 1, actor: DESK, event: { kind: "begunAnew" } },
    });
    vi.advanceTimersByTime(200);
    expect(Socket.all).toHaveLength(2);
    connect();
    expect(store.getSnapshot().state.seq).toBe(show.state.seq);
    Socket.last.close(4401);
    vi.advanceTimersByTime(10_000);
    expect(Socket.all).toHaveLength(2);
    expect(store.getSnapshot().status.kind).toBe("refused");
  });

  test("a desk that rehearsed rehearses again after its page was loaded anew, until it goes back to the air", () => {
    const first = setUp();
    first.connect();
    first.store.rehearse(true);
    expect(Socket.last.heard).toContainEqual({ kind: "channel", channel: "rehearsal" });
    first.store.disconnect();
    const again = setUp();
    again.connect();
    expect(again.store.getSnapshot().channel).toBe("air");
    expect(Socket.last.heard).toContainEqual({ kind: "channel", channel: "rehearsal" });
    Socket.last.welcome(again.show.state, "rehearsal");
    expect(again.store.getSnapshot().channel).toBe("rehearsal");
    again.store.rehearse(false);
    again.store.disconnect();
    const third = setUp();
    third.connect();
    expect(Socket.last.heard.some(({ kind }) => kind === "channel")).toBe(false);
  });

  test("a take of its own that it learns of when it comes back is no surprise; another hand's is one", () => {
    const comeBack = (hand: Actor | undefined) => {
      const { store, show, connect } = setUp();
      connect();
      vi.advanceTimersByTime(2_000);
      store.air.take("usual");
      const [command] = Socket.last.commands;
      if (command) show.press(command, hand ?? { kind: "desk", id: store.windowId });
      Socket.last.close(1006);
      vi.advanceTimersByTime(200);
      connect();
      vi.advanceTimersByTime(100);
      store.air.take("usual");
      return { sent: Socket.last.commands.length, said: store.getSnapshot().notice?.sentence };
    };
    expect(comeBack(undefined).sent).toBe(1);
    const surprised = comeBack(DESK);
    expect(surprised.sent).toBe(0);
    expect(surprised.said).toContain("changed by itself");
  });

  test("between asking for the rehearsal and being there nothing is sent: it would go to the other of the two", () => {
    const { store, show, connect } = setUp();
    connect();
    vi.advanceTimersByTime(2_000);
    store.rehearse(true);
    store.air.take("usual");
    expect(Socket.last.commands).toEqual([]);
    expect(store.getSnapshot().notice?.sentence).toContain("rehearsal");
    Socket.last.welcome(show.state, "rehearsal");
    store.air.take("usual");
    expect(Socket.last.commands).toHaveLength(1);
  });

  test("going over to the rehearsal and back is one's own doing: the next take is used at once", () => {
    const { store, show, cues, connect } = setUp();
    connect();
    const rehearsed = new Clocked(cues);
    vi.advanceTimersByTime(2_000);
    rehearsed.take(0);
    store.rehearse(true);
    Socket.last.welcome(rehearsed.state, "rehearsal");
    vi.advanceTimersByTime(300);
    store.air.take("usual");
    expect(Socket.last.commands.map(({ kind }) => kind)).toEqual(["take"]);
    const { id } = Socket.last.commands[0] as Command;
    Socket.last.say({ kind: "answer", id, refused: null, sentence: null });
    vi.advanceTimersByTime(2_000);
    store.rehearse(false);
    Socket.last.welcome(show.state, "air");
    vi.advanceTimersByTime(300);
    store.air.take("usual");
    expect(Socket.last.commands.map(({ kind }) => kind)).toEqual(["take", "take"]);
  });

  test("cues that are changed, moved and taken away elsewhere are so here; the rest stay the same objects", () => {
    const { store, cues, connect } = setUp();
    connect();
    const before = store.getSnapshot().cues;
    const [a, b, c] = cues as [(typeof cues)[0], (typeof cues)[0], (typeof cues)[0]];
    Socket.last.say({
      kind: "rundown",
      stamp: "stamp-2",
      order: [c.cueId, a.cueId],
      changed: [
        {
          cueId: c.cueId,
          revision: 2,
          doc: strap("Brisa Q."),
          compiled: { problem: emptyField({ kind: "page", id: "" }, { label: "name" }) },
        },
      ],
      evening: store.getSnapshot().evening,
    });
    const after = store.getSnapshot();
    expect(after.cues.map(({ view }) => view.cueId)).toEqual([c.cueId, a.cueId]);
    expect(after.ready.map(({ cueId }) => cueId)).toEqual([a.cueId]);
    expect(after.cues[1]?.view).toBe(before[0]?.view);
    expect(after.next?.cueId).toBe(a.cueId);
    expect(after.cues.some(({ view }) => view.cueId === b.cueId)).toBe(false);
  });
});
