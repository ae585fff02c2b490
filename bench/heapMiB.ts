import { WebSocket } from "ws";

/** What a process that was started with --inspect holds in its own heap once all that nothing refers to is collected. */
export async function heapMiB(inspector: string): Promise<number> {
  const socket = new WebSocket(inspector);
  await new Promise((resolve) => socket.once("open", resolve));
  const ask = (id: number, method: string) =>
    new Promise<{ readonly usedSize?: number }>((resolve) => {
      socket.on("message", (data) => {
        const answer = JSON.parse(String(data)) as { id?: number; result: { usedSize?: number } };
        if (answer.id === id) resolve(answer.result);
      });
      socket.send(JSON.stringify({ id, method }));
    });
  await ask(1, "HeapProfiler.collectGarbage");
  const { usedSize = Number.NaN } = await ask(2, "Runtime.getHeapUsage");
  socket.terminate();
  return usedSize / 2 ** 20;
}
