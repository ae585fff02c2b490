import { cpus, totalmem } from "node:os";
import { benchBusyOutput } from "./busyOutput.ts";
import { printHead } from "./distribution.ts";
import { benchAgainstBrowser } from "./inBrowser.ts";
import { benchLayOut } from "./layOut.ts";
import { benchOutputs } from "./outputs.ts";
import { benchServerTake } from "./serverTake.ts";

console.log(`${cpus().length} cores, ${Math.round(totalmem() / 2 ** 30)} GiB, no GPU used\n`);
printHead();
await benchLayOut();
await benchAgainstBrowser();
await benchServerTake();
await benchBusyOutput(1920, 1080);
await benchBusyOutput(3840, 1080);
await benchOutputs(2);
await benchOutputs(4);
