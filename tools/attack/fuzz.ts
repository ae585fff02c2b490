import { WebSocket } from "ws";
import { RunningShow } from "../../e2e/support/runningShow.ts";
import { deskToken } from "../../test-support/deskPage.ts";
import { type Attack, seeded } from "./attack.ts";
import { inTurns } from "./doors.ts";
import { request } from "./raw.ts";
import { Taker } from "./taker.ts";

const SEED = 20261127;

/** Ten thousand broken messages and requests beside a desk that takes on. */
export const fuzz: Attack = {
  name: "broken messages and requests",
  run: async (isLong) => {
    const show = new RunningShow(true, { isQuiet: true });
    await show.start();
    const base = new URL(show.base);
    const first = show.processId;
    const desk = await Taker.join(show);
    const random = seeded(SEED);
    const broken: string[] = [];
    const count = isLong ? 5_000 : 1_500;
    const token = await deskToken(show.base);
    const output = show.outputLink(0).split("/").at(-1) as string;
    let messages = 0;
    await inTurns(
      Array.from({ length: Math.ceil(count / 12) }, (_, i) => async () => {
        const sent = await talk(base, i % 3 === 0 ? token : i % 3 === 1 ? output : "", random);
        messages += sent;
      }),
      12,
    );
    let failures = 0;
    await inTurns(
      Array.from({ length: count }, () => async () => {
        const { method, target, headers, body } = brokenRequest(random, output);
        const answer = await request(
          base,
          method,
          target,
          { ...headers, Host: headers.Host ?? base.host },
          body,
        );
        if (answer.status >= 500) failures++;
        if (/\bat .*\.(ts|js):\d+/.test(answer.body))
          broken.push(`a stack was shown for ${method} ${target.slice(0, 80)}`);
      }),
      12,
    );
    if (failures > 0) broken.push(`${failures} requests failed inside: ${show.said.slice(0, 600)}`);
    if (!show.isRunning || show.processId !== first) broken.push("the server ended");
    if (/A fault of ours/.test(show.said))
      broken.push(`a fault reached the process: ${show.said.slice(0, 400)}`);
    await desk.take();
    desk.end();
    await show.kill();
    await show.start();
    await show.stop();
    return {
      tries: messages + count,
      broken: broken.slice(0, 20),
      figures: [`${messages} messages, ${count} requests, seed ${SEED}`],
    };
  },
};

const NASTY: readonly unknown[] = [
  null,
  true,
  -1,
  1e308,
  "",
  "constructor",
  "__proto__",
  "../../etc",
  "\u0000",
  "a".repeat(9_000),
  [],
  {},
  [[[[]]]],
  { __proto__: 1 },
  Number.MAX_SAFE_INTEGER + 1,
  "\ud800",
  "‮",
  "'; drop table cue; --",
  "%00",
  "\r\nX: y",
];

const KINDS = ["hello", "ping", "command", "channel", "rehearseOn", "desk", "painted", "nonsense"];
const COMMANDS = [
  "arm",
  "disarm",
  "take",
  "out",
  "clear",
  "undo",
  "goOn",
  "send",
  "shut",
  "stageNote",
  "setLayer",
  "setStandBy",
  "switchPlan",
  "test",
  "hold",
];

/** Says nonsense until the server has had enough. @returns how many messages were sent */
function talk(base: URL, token: string, random: () => number): Promise<number> {
  return new Promise((resolve) => {
    const socket = new WebSocket(`ws://${base.host}/live`);
    let sent = 0;
    const timer = setTimeout(() => socket.terminate(), 3_000);
    socket.on("open", () => {
      if (token)
        socket.send(
          JSON.stringify({ kind: "hello", token, windowId: `fuzz-window-${Math.floor(random() * 1e9)}` }),
        );
      for (let i = 0; i < 12; i++) {
        const message = brokenMessage(random);
        if (random() < 0.1) socket.send(Buffer.from(message));
        else socket.send(message);
        sent++;
      }
    });
    socket.on("error", () => {});
    socket.on("close", () => {
      clearTimeout(timer);
      resolve(sent);
    });
    socket.on("message", () => {
      if (sent >= 12) setTimeout(() => socket.close(), 30);
    });
  });
}

const pick = <T>(from: readonly T[], random: () => number): T =>
  from[Math.floor(random() * from.length)] as T;

function brokenMessage(random: () => number): string {
  const nasty = () => pick(NASTY, random);
  const message: Record<string, unknown> = {
    kind: pick(KINDS, random),
    command: {
      kind: pick(COMMANDS, random),
      id: random() < 0.5 ? `fuzz-${random()}` : nasty(),
      layerId: nasty(),
      target: nasty(),
      how: pick(["cut", "usual", nasty()], random),
      builtOn: nasty(),
      outputIds: nasty(),
      picture: nasty(),
      planId: nasty(),
    },
    sentAtMs: nasty(),
    outputIds: [nasty(), nasty()],
    name: nasty(),
    mode: nasty(),
  };
  const text = JSON.stringify(random() < 0.5 ? message : { kind: message.kind, [String(nasty())]: nasty() });
  const cut = random();
  if (cut < 0.15) return text.slice(0, Math.floor(random() * text.length));
  if (cut < 0.2) return "[".repeat(5_000);
  return text;
}

const PATHS = [
  "/run",
  "/edit",
  "/song/save",
  "/library",
  "/library?id=aaaaaaaaaa&name=x",
  "/files/songs?fileName=a&actor=aaaaaaaa",
  "/files/texts?fileName=a",
  "/still/desk",
  "/enter",
  "/screen?code=",
  "/screens-edit",
  "/evenings-edit",
  "/venue-settings",
  "/passcode",
  "/understand",
  "/try-out",
  "/files/design",
  "/media/",
  "/fonts/",
  "/assets/",
  "/find?q=",
  "/songs?q=",
  "/log?of=",
  "/evening/",
  "/access",
];

function brokenRequest(random: () => number, token: string) {
  const nasty = () => encodeURIComponent(String(JSON.stringify(pick(NASTY, random)))).slice(0, 3_000);
  const method = pick(["GET", "POST", "POST", "PUT", "DELETE", "OPTIONS", "TRACE", "HEAD"], random);
  const target = `${pick([...PATHS, `/out/${token}`, `/still/${token}?cue=`], random)}${random() < 0.7 ? nasty() : ""}`;
  const type = pick(
    ["application/json", "application/octet-stream", "multipart/form-data; boundary=x", "text/plain"],
    random,
  );
  const body =
    method === "POST"
      ? pick(
          [
            JSON.stringify(pick(NASTY, random)),
            brokenMessage(random),
            "{",
            "PK\u0003\u0004broken",
            "\u001f\u008bbroken",
          ],
          random,
        )
      : "";
  const headers: Record<string, string> = { "Content-Type": type };
  if (random() < 0.1) headers["Content-Length"] = pick(["-1", "abc", "5", "99999999999"], random);
  if (random() < 0.1) headers["Transfer-Encoding"] = "chunked";
  if (random() < 0.1) headers.Cookie = `vesko_desk=${nasty()}; =; ;;`;
  if (random() < 0.05) headers.Host = pick(["", "[", "x:y:z", "127.0.0.1:99999"], random);
  return { method, target, headers, body };
}
