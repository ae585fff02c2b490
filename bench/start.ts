import { type CueDoc, pageCue, songCue } from "../core/rundown/cueDoc.ts";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { distributionOf, printRow } from "./distribution.ts";
import { few } from "./few.ts";
import { madeUpSongs } from "./madeUpSongs.ts";

const CUES = few(2_000, 40);
const AT_ONCE = few(100, 20);
const STARTS = few(5, 2);

/** From the start of the process until pages are answered, with a rundown of two thousand cues. */
export async function benchStart(): Promise<void> {
  const show = new RunningShow(true);
  await show.start();
  const docs = madeUpSongs(CUES, 13).songs.map(
    ({ song }, i): CueDoc =>
      i % 4 === 0
        ? pageCue({ fieldSet: "name", values: { name: `Guest ${i}`, role: "net mender" } })
        : songCue(song),
  );
  for (let at = 0; at < CUES; at += AT_ONCE) {
    const cues = docs.slice(at, at + AT_ONCE).map((doc, i) => ({ cueId: `bench-cue-${at + i}`, doc }));
    const answer = await fetch(`${show.base}/edit`, {
      method: "POST",
      headers: { "Content-Type": "application/json", Origin: show.base },
      body: JSON.stringify({ actor: "bench-person", edit: { kind: "addCues", cues, afterId: null } }),
    });
    if (!answer.ok) throw new Error(`Adding cues was answered with ${answer.status}`);
  }
  const took: number[] = [];
  for (let i = 0; i < STARTS; i++) {
    await show.close();
    const from = performance.now();
    await show.start();
    took.push(performance.now() - from);
  }
  printRow(`start with ${CUES} cues`, "ms", distributionOf(took), "");
  await show.stop();
}
