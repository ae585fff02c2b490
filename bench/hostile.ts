import { measureCrowd } from "../tools/attack/crowd.ts";
import { distributionOf, printRow, printValue } from "./distribution.ts";
import { few } from "./few.ts";

const TAKES = few(400, 20);

/** What a take takes while twenty hostile connections are at the same server. */
export async function benchHostile(): Promise<void> {
  const { alone, among, memoryAloneMb, memoryAmongMb } = await measureCrowd(TAKES);
  const [before, during] = [distributionOf([...alone]), distributionOf([...among])];
  printRow("a take asked for → answered, over the network of this machine", "ms", before, "");
  printRow("the same among 20 hostile connections", "ms", during, "");
  printValue("ratio among / alone, medians", "×", during.median / before.median, "under 2");
  printValue("ratio among / alone, p95", "×", during.p95 / before.p95, "under 2");
  printValue("memory of the server, more among them", "MiB", memoryAmongMb - memoryAloneMb, "under 300");
}
