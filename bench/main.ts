import { cpus, totalmem } from "node:os";
import { printHead } from "./distribution.ts";
import { benchLayOut } from "./layOut.ts";
import { benchOutputs } from "./outputs.ts";
import { benchServerTake } from "./serverTake.ts";

console.log(`${cpus().length} cores, ${Math.round(totalmem() / 2 ** 30)} GiB, no GPU used\n`);
printHead();
await benchLayOut();
await benchServerTake();
await benchOutputs(2);
await benchOutputs(4);
