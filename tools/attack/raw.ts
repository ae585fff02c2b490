import { connect } from "node:net";

export interface RawAnswer {
  readonly status: number;
  readonly body: string;
}

/** Sends bytes as they are and gives back what came; status 0 when the other side only hung up. */
export function sendRaw(
  { hostname, port }: { readonly hostname: string; readonly port: string },
  bytes: string | Buffer,
  waitMs = 8_000,
  localAddress?: string,
): Promise<RawAnswer> {
  return new Promise((resolve) => {
    const parts: Buffer[] = [];
    const socket = connect({ host: hostname, port: Number(port), ...(localAddress && { localAddress }) });
    const settle = () => {
      clearTimeout(timer);
      socket.destroy();
      const all = Buffer.concat(parts).toString("utf8");
      resolve({ status: Number(/^HTTP\/1\.1 (\d{3})/.exec(all)?.[1] ?? 0), body: all });
    };
    const timer = setTimeout(settle, waitMs);
    socket.on("data", (part) => parts.push(part));
    socket.on("error", settle);
    socket.on("close", settle);
    socket.write(bytes);
  });
}

/** One request whose target is sent as it stands: nobody tidies it on the way. */
export function request(
  base: URL,
  method: string,
  target: string,
  headers: Readonly<Record<string, string>> = {},
  body = "",
  localAddress?: string,
): Promise<RawAnswer> {
  const all: Record<string, string> = {
    Host: base.host,
    Connection: "close",
    ...(body !== "" && { "Content-Length": String(Buffer.byteLength(body)) }),
    ...headers,
  };
  const head = Object.entries(all).map(([name, value]) => `${name}: ${value}\r\n`);
  return sendRaw(
    base,
    `${method} ${target} HTTP/1.1\r\n${head.join("")}\r\n${body}`,
    undefined,
    localAddress,
  );
}
