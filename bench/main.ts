import { cpus, loadavg, totalmem } from "node:os";
import { benchBusyOutput } from "./busyOutput.ts";
import { benchCameras } from "./cameras.ts";
import { benchCarry } from "./carry.ts";
import { benchCheck } from "./check.ts";
import { printHead } from "./distribution.ts";
import { benchFeeds } from "./feeds.ts";
import { IS_SHORT } from "./few.ts";
import { benchFind } from "./find.ts";
import { benchFrameCost } from "./frameCost.ts";
import { benchHostile } from "./hostile.ts";
import { benchHour } from "./hour.ts";
import { benchAgainstBrowser } from "./inBrowser.ts";
import { benchLayOut } from "./layOut.ts";
import { benchLiveCells } from "./liveCells.ts";
import { benchLongEvening } from "./longEvening.ts";
import { benchManyFeeds } from "./manyFeeds.ts";
import { benchClients, benchStaticWindows } from "./manyScreens.ts";
import { benchOutputs } from "./outputs.ts";
import { benchPresses } from "./presses.ts";
import { benchRenders } from "./renders.ts";
import { benchReport } from "./report.ts";
import { benchRoom } from "./room.ts";
import { benchSecond } from "./second.ts";
import { benchServerTake } from "./serverTake.ts";
import { benchSpreadInPixels } from "./spreadInPixels.ts";
import { benchStart } from "./start.ts";
import { benchWindowTasks } from "./windowTasks.ts";
import { benchWords } from "./words.ts";

/** All of them, or those named: `npm run bench -- room start`. */
const ALL: Readonly<Record<string, () => unknown>> = {
  layOut: benchLayOut,
  presses: benchPresses,
  againstBrowser: benchAgainstBrowser,
  serverTake: benchServerTake,
  start: benchStart,
  words: benchWords,
  find: benchFind,
  feeds: benchFeeds,
  liveCells: benchLiveCells,
  manyFeeds: benchManyFeeds,
  cameras: benchCameras,
  check: benchCheck,
  carry: benchCarry,
  second: benchSecond,
  report: benchReport,
  busyOutput: () => benchBusyOutput(1920, 1080),
  busyWall: () => benchBusyOutput(3840, 1080),
  frameCost: benchFrameCost,
  windowTasks: benchWindowTasks,
  twoOutputs: () => benchOutputs(2),
  fourOutputs: () => benchOutputs(4),
  renders: benchRenders,
  room: benchRoom,
  spreadInPixels: benchSpreadInPixels,
  hostile: benchHostile,
  clients: benchClients,
  staticWindows: benchStaticWindows,
  longEvening: benchLongEvening,
  hour: benchHour,
};

const wanted = process.argv.slice(2).filter((arg) => arg !== "--short");
const unknown = wanted.filter((name) => !(name in ALL));
if (unknown.length > 0)
  throw new Error(`There is no bench ${unknown.join(", ")}; there are ${Object.keys(ALL).join(", ")}`);
console.log(
  `${cpus().length} cores, ${Math.round(totalmem() / 2 ** 30)} GiB, no GPU used, load ${loadavg()[0]?.toFixed(1)}${IS_SHORT ? ", SHORT: it runs, and the figures say nothing" : ""}\n`,
);
printHead();
for (const [name, bench] of Object.entries(ALL))
  if (wanted.length === 0 || wanted.includes(name)) await bench();
