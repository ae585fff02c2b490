import { createSocket } from "node:dgram";
import { Bundle, Client, Message } from "node-osc";
import { afterEach, describe, expect, test } from "vitest";
import { writeUmd5 } from "../../core/tally/umd5.ts";
import { writeUmd31 } from "../../core/tally/umd31.ts";
import { USUAL_FOLLOW } from "../../core/triggers/followSettings.ts";
import type { MessageValue } from "../../core/triggers/happening.ts";
import { Links } from "./links.ts";
import { readOsc, writeOsc } from "./osc.ts";

const bytesOf = (hex: string) => new Uint8Array(Buffer.from(hex.replaceAll(/\s/g, ""), "hex"));

// OSC 1.0 specification, "OSC Message Examples": bytes as they stand there.
const OSCILLATOR = bytesOf("2f6f7363 696c6c61 746f722f 342f6672 65717565 6e637900 2c660000 43dc0000");
const FOO = bytesOf(
  "2f666f6f 00000000 2c696973 66660000 000003e8 ffffffff 68656c6c 6f000000 3f9df3b6 40b5b22d",
);

describe("OSC 1.0", () => {
  test("its byte examples", () => {
    expect(readOsc(OSCILLATOR)).toEqual({
      messages: [{ address: "/oscillator/4/frequency", args: [440], atMs: null }],
    });
    const foo = readOsc(FOO);
    expect(foo).toMatchObject({ messages: [{ address: "/foo" }] });
    const [message] = "messages" in foo ? foo.messages : [];
    expect(message?.args.slice(0, 3)).toEqual([1_000, -1, "hello"]);
    expect(message?.args[3]).toBeCloseTo(1.234, 5);
    expect(message?.args[4]).toBeCloseTo(5.678, 5);
    expect(Buffer.from(writeOsc("/foo", [1_000, -1, "hello"])).toString("hex")).toBe(
      "2f666f6f000000002c69697300000000000003e8ffffffff68656c6c6f000000",
    );
  });

  test("a bundle to count at once, and one for another time", () => {
    const bundle = (timetag: string) =>
      bytesOf(`2362756e646c6500 ${timetag} 00000020 ${Buffer.from(OSCILLATOR).toString("hex")}`);
    expect(readOsc(bundle("0000000000000001"))).toMatchObject({ messages: [{ atMs: null }] });
    // 1 January 2030, in seconds since 1900.
    const seconds = (Date.UTC(2030, 0, 1) / 1_000 + 2_208_988_800).toString(16).padStart(8, "0");
    expect(readOsc(bundle(`${seconds}00000000`))).toMatchObject({
      messages: [{ atMs: Date.UTC(2030, 0, 1) }],
    });
  });

  test.each([
    ["", "nothing"],
    ["2f666f6f", "no end of its address"],
    ["666f6f00 2c000000", "no slash"],
    ["2f666f6f 00000000 2c690000", "a value that is missing"],
    ["2362756e646c6500 0000000000000001 7fffffff", "a length beyond its end"],
  ])("what is broken is refused: %s (%s)", (hex) => {
    expect(readOsc(bytesOf(hex))).toHaveProperty("problem");
  });

  test("what is too long is refused before it is read", () => {
    expect(readOsc(new Uint8Array(8_192))).toEqual({ problem: "it has 8192 bytes" });
  });
});

interface Heard {
  readonly inputs: { program: readonly number[]; preview: readonly number[]; isQuiet: boolean }[];
  readonly messages: [string, readonly MessageValue[]][];
  readonly news: string[];
}

describe("devices over real UDP", () => {
  const open: Links[] = [];
  afterEach(() => {
    for (const links of open.splice(0)) links.close();
  });

  async function openLinks(
    now: () => number = Date.now,
    tallyPort = 0,
    allowed: readonly string[] = [],
  ): Promise<{ links: Links; heard: Heard; ports: number[] }> {
    const heard: Heard = { inputs: [], messages: [], news: [] };
    const links = new Links({
      host: "127.0.0.1",
      tallyPort,
      oscPort: 0,
      allowed,
      now,
      settings: () => USUAL_FOLLOW,
      onInputs: (on, isQuiet) => heard.inputs.push({ ...on, isQuiet }),
      onMessage: (address, args) => heard.messages.push([address, args]),
      onNews: (sentence) => heard.news.push(sentence),
      onChange: () => {},
    });
    open.push(links);
    await links.open();
    return { links, heard, ports: links.doors().map(({ port }) => port ?? 0) };
  }

  const sendTo = (port: number, ...packets: Uint8Array[]) =>
    new Promise<void>((resolve) => {
      const socket = createSocket("udp4");
      let left = packets.length;
      for (const packet of packets)
        socket.send(packet, port, "127.0.0.1", () => --left === 0 && socket.close(resolve));
    });

  test("a port that another program has is told in words, and the other door is open all the same", async () => {
    const other = createSocket("udp4");
    await new Promise<void>((resolve) => other.bind(0, "127.0.0.1", resolve));
    const { links } = await openLinks(Date.now, other.address().port);
    expect(links.doors()[0]?.problem).toMatch(
      /^Tally could not listen on port \d+: another program has it\.$/,
    );
    expect(links.doors()[1]).toMatchObject({ problem: null, port: expect.any(Number) });
    other.close();
  });

  test("a stranger is counted and not looked at; one that was named is heard", async () => {
    const STRANGER = "127.0.0.2";
    const message = writeOsc("/vesko/go", []);
    for (const allowed of [[], [STRANGER]]) {
      const { links, heard, ports } = await openLinks(Date.now, 0, allowed);
      const device = createSocket("udp4");
      await new Promise<void>((resolve) => device.bind(0, STRANGER, resolve));
      device.send(message, ports[1], "127.0.0.1");
      const isNamed = allowed.length > 0;
      await expect
        .poll(() => [links.doors()[1]?.turnedAway.strangers, heard.messages.length])
        .toEqual(isNamed ? [0, 1] : [1, 0]);
      device.close();
    }
  });

  test("a flood from one sender is cut off, and counted", async () => {
    let atMs = 0;
    const { links, heard, ports } = await openLinks(() => atMs);
    const read = () => heard.messages.length + (links.doors()[1]?.turnedAway.tooMany ?? 0);
    for (let sent = 0; sent < 600; sent += 50) {
      const packets = Array.from({ length: 50 }, () => writeOsc("/vesko/go", []));
      await sendTo(ports[1] as number, ...packets);
      // The system keeps only so many for whoever does not read them.
      await expect.poll(read).toBe(sent + 50);
    }
    expect(links.doors()[1]?.turnedAway.tooMany).toBe(200);
    const { length } = heard.messages;
    atMs += 1_000;
    await sendTo(ports[1] as number, writeOsc("/vesko/go", []));
    await expect.poll(() => heard.messages.length).toBeGreaterThan(length);
  });

  test("both versions of tally are heard on one port", async () => {
    const { heard, ports } = await openLinks();
    const report = { input: 4, isOnProgram: true, isOnPreview: false, label: "QUAY" };
    await sendTo(ports[0] as number, writeUmd31(report, USUAL_FOLLOW.umd31));
    await expect.poll(() => heard.inputs).toEqual([{ program: [4], preview: [], isQuiet: true }]);
    await sendTo(ports[0] as number, writeUmd5([{ ...report, isOnProgram: false, isOnPreview: true }]));
    await expect.poll(() => heard.inputs.at(-1)).toMatchObject({ program: [], preview: [4] });
  });

  test("a client of another library is understood: messages, bundles, and a mixer by messages", async () => {
    const { heard, ports } = await openLinks();
    const client = new Client("127.0.0.1", ports[1] as number);
    await new Promise<void>((resolve) =>
      client.send(new Message("/vesko/go", 7, "lamp", 0.5), () => resolve()),
    );
    await expect.poll(() => heard.messages).toEqual([["/vesko/go", [7, "lamp", 0.5]]]);
    const bundle = new Bundle(["/mixer/program", 2], ["/mixer/preview", 3]);
    await new Promise<void>((resolve) => client.send(bundle, () => resolve()));
    await expect
      .poll(() => heard.inputs.at(-1))
      .toMatchObject({ program: [2], preview: [3], isQuiet: false });
    client.close();
  });

  test("wrong kinds of values and bundles far ahead do nothing, and say why", async () => {
    const { links, heard, ports } = await openLinks();
    await sendTo(ports[1] as number, writeOsc("/mixer/program", ["two"]), writeOsc("/mixer/program", [1.5]));
    await expect.poll(() => heard.messages.length).toBe(2);
    expect(heard.inputs).toEqual([]);
    const seconds = Math.floor(Date.now() / 1_000 + 2_208_988_800 + 7_200).toString(16);
    await sendTo(
      ports[1] as number,
      bytesOf(`2362756e646c6500 ${seconds}00000000 00000020 ${Buffer.from(OSCILLATOR).toString("hex")}`),
    );
    await expect
      .poll(() => links.doors()[1]?.lastProblem)
      .toMatch(/\/oscillator\/4\/frequency was to count 7\d\d\d s later/);
    expect(heard.messages).toHaveLength(2);
    await sendTo(ports[1] as number, new Uint8Array(9_000), bytesOf("ffff"));
    await expect.poll(() => links.doors()[1]?.turnedAway.notUnderstood).toBe(3);
  });
});
