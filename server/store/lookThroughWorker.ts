import { parentPort, workerData } from "node:worker_threads";
import { lookThrough } from "./lookThrough.ts";

parentPort?.postMessage(lookThrough(String(workerData)));
