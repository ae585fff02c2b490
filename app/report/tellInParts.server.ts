import { setImmediate as nextTurn } from "node:timers/promises";
import type { Report } from "../../core/report/report.ts";

const AT_ONCE = 500;

/** A report as JSON, written a little at a time: one of many thousand lines holds nothing else up. */
export function tellInParts(report: Report): Response {
  const encoder = new TextEncoder();
  async function* parts() {
    yield "{";
    const { evening, hasBeside, ...lists } = report;
    yield JSON.stringify({ evening, hasBeside }).slice(1, -1);
    for (const [name, rows] of Object.entries(lists)) {
      yield `,${JSON.stringify(name)}:[`;
      for (let from = 0; from < rows.length; from += AT_ONCE) {
        const text = JSON.stringify(rows.slice(from, from + AT_ONCE)).slice(1, -1);
        yield from === 0 ? text : `,${text}`;
        await nextTurn();
      }
      yield "]";
    }
    yield "}";
  }
  const texts = parts();
  const body = new ReadableStream<Uint8Array>({
    pull: async (controller) => {
      const { value, done } = await texts.next();
      if (done) controller.close();
      else controller.enqueue(encoder.encode(value));
    },
  });
  return new Response(body, { headers: { "Content-Type": "application/json" } });
}
