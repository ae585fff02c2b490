#!/usr/bin/env node
// The one command: installs and builds what is missing, then runs. Needs nothing but Node itself.
import { spawn, spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import {
  accessSync,
  constants,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { constants as constantsOf } from "node:os";
import { delimiter, dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

const home = dirname(fileURLToPath(import.meta.url));
const at = (...parts) => join(home, ...parts);
const installedStamp = at("node_modules", ".vesko-installed");
const [command, ...rest] = process.argv.slice(2);

const HELP = `Usage: node vesko.mjs COMMAND

  demo        the demo show, ready to play with
  start       your own show (a new one, or the one you left)
  move        moves the demo's feeds while it runs, as an evening would (--folder FOLDER, --port N, --rubbish PERCENT)
  mix         a simulated mixer with four cameras for the demo (--port N, --by-itself, --umd 3.1)
  backup      copies a show, while it runs or not
  restore     lists the copies of a show, or puts one in its place
  check-file  says what is in a show file, and whether it is whole
  service     prints a systemd unit that starts Vesko with the machine
  version     the version of this program
  test        everything that is tested

More on backup, restore, check-file and service: node vesko.mjs COMMAND --help

Options of demo and start:
  --port N     port to listen on (4400)
  --host NAME  address to listen on (127.0.0.1)
  --tls-cert FILE, --tls-key FILE
               serve over TLS with your own certificate
  --trusted-proxy ADDRESS
               a proxy whose word on whom it speaks for is taken; may be given more than once
  --feed-folder FOLDER
               a folder whose files may fill pages; they are watched
  --feed-host NAME[:PORT]
               a host whose data may fill pages; may be given more than once
  --tally-port N, --osc-port N
               ports on which a mixer and other devices send tallies (UMD) and messages (OSC)
  --device ADDRESS
               a device besides this machine that may send them; may be given more than once
  --osc-to ADDRESS:PORT
               a device that is sent messages; may be given more than once
  --db FILE    show database (data/demo.vesko.db or data/show.vesko.db)
  --backup-folder FOLDER
               a folder that the copies of the show go to as well
  --slide-converter "PROGRAM … {in} … {out}"
               a program of this machine that makes a PDF of the presentation {in} in the folder {out}
  --follow LINK
               of start: have the show of another machine, and take over from it when somebody says so
               (its desk shows the link, in Health)
  --lead       lead although the second machine leads, which has to be stopped first
  --with-faults
               of the demo: with twenty faults planted, for the check to find
  --log-file FILE, --log-level info|warn|error
               where the log is kept besides the terminal (beside the database; five files of 2 MB), and from which level on
  --language en|es
               the language of the interface (that of this machine, where there is one of those)
  --restore    go on with the newest good copy of the database; the one there is set aside
  --as-it-is   go on with a database that was copied without its log`;

/** What it says is of no interest to a program that reads what we print. */
const SAYS_ASIDE = { stdio: ["inherit", 2, 2] };

/** A server that died is started again, so many times in so many ms: more often, and something is wrong that a start mends not. */
const MOST_RESTARTS = 5;
const RESTARTS_WITHIN_MS = 10 * 60_000;

/** Languages of the interface: those of `core/language/language.ts`. */
const LANGUAGES = ["en", "es"];

/** What the server ends with when another start would meet the same problem. */
const WONT_START = 2;

main();

async function main() {
  const [major, minor] = process.versions.node.split(".").map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    fail(`Vesko needs Node 20.19 or newer; this is ${process.versions.node}. Nothing was started.`);
  switch (command) {
    case "demo":
    case "start":
      install();
      build();
      serve(command === "demo" ? ["--demo", ...rest] : rest);
      break;
    case "move":
      install();
      runStandIn("feedMover", moverFlags(rest));
      break;
    case "mix":
      install();
      runStandIn("mixer", rest);
      break;
    case "backup":
    case "restore":
    case "check-file":
    case "service":
      install();
      build();
      runCommand(command, rest);
      break;
    // For whoever makes an archive: builds, and nothing else; then marks what is installed as what is wanted.
    case "build":
      install();
      build();
      break;
    case "sealed":
      writeFileSync(installedStamp, wantedPackages());
      break;
    case "version":
      console.log(JSON.parse(readFileSync(at("package.json"), "utf8")).version);
      break;
    case "test":
      install();
      await test();
      break;
    default:
      console.log(HELP);
      process.exit(command === undefined || command === "help" || command === "--help" ? 0 : 1);
  }
}

/** The language that is asked for, or else the machine's own where there is one of it, and the other options. */
function takeLanguage(options) {
  const at = options.indexOf("--language");
  if (at === -1) {
    const { LC_ALL, LC_MESSAGES, LANG } = process.env;
    const [ofMachine] = (LC_ALL || LC_MESSAGES || LANG || "").split(/[_.@]/);
    return { language: LANGUAGES.includes(ofMachine) ? ofMachine : "en", args: options };
  }
  const language = options[at + 1];
  if (!LANGUAGES.includes(language))
    fail(
      `There is no interface in “${language ?? ""}”. Nothing was started; --language is one of ${LANGUAGES.join(", ")}.`,
    );
  return { language, args: options.toSpliced(at, 2) };
}

/** Runs one of the stand-ins until it is told to end. */
function runStandIn(name, flags) {
  const standIn = spawn(process.execPath, ["--import", "tsx", at("stand-ins", name, "main.ts"), ...flags], {
    stdio: "inherit",
  });
  for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => standIn.kill(signal));
  standIn.once("exit", (code) => process.exit(code ?? 1));
}

/** Runs what is done at the terminal; its exit code is ours. */
function runCommand(name, args) {
  const { status } = spawnSync(process.execPath, [at("build", "server", "commands.js"), name, ...args], {
    stdio: "inherit",
    env: { ...process.env, NODE_ENV: "production" },
  });
  process.exit(status ?? 1);
}

function fail(sentence) {
  console.error(sentence);
  process.exit(1);
}

function run(program, args, options = {}) {
  const { status, error } = spawnSync(program, args, { cwd: home, stdio: "inherit", ...options });
  return !error && status === 0;
}

/** Scripts of the package beside one another; each uses one core. */
async function runTogether(...scripts) {
  const codes = scripts.map(
    (script) =>
      new Promise((resolve) =>
        spawn("npm", ["run", "--silent", script], { cwd: home, stdio: "inherit" })
          .once("error", () => resolve(1))
          .once("exit", resolve),
      ),
  );
  return (await Promise.all(codes)).every((code) => code === 0);
}

function findProgram(name) {
  for (const folder of (process.env.PATH ?? "").split(delimiter)) {
    try {
      accessSync(join(folder, name), constants.X_OK);
      return join(folder, name);
    } catch {
      // Not in this folder.
    }
  }
  return undefined;
}

/** What is installed fits the lock file, this machine and this Node: the database is a module of its own for each. */
function wantedPackages() {
  return hash([at("package-lock.json")], `${process.versions.modules} ${process.platform} ${process.arch}`);
}

/** Installs the packages of the lock file when they are not there, or belong to another one. */
function install() {
  if (existsSync(installedStamp) && readFileSync(installedStamp, "utf8") === wantedPackages()) return;
  console.error("Installing packages; the first time takes a few minutes…");
  if (!run("npm", ["ci", "--no-audit", "--no-fund"], SAYS_ASIDE)) {
    const missing = ["python3", "make", "g++"].filter((name) => !findProgram(name));
    fail(
      missing.length > 0
        ? `The packages could not be installed. The database needs a compiler, and this machine has no ${missing.join(", no ")}. Install ${missing.length > 1 ? "them" : "it"} (on Debian: apt-get install python3 make g++) and run this again.`
        : "The packages could not be installed; npm says why above. Check the connection to the package registry and run this again.",
    );
  }
  writeFileSync(installedStamp, wantedPackages());
}

/** Builds when a source has changed since the last build. */
function build() {
  const stamp = at("build", ".stamp");
  const folders = ["app", "core", "painters", "server", "designs", "demo", "texts", "tools", "public"];
  const files = [
    ...folders.flatMap((folder) => listFiles(at(folder))).filter((file) => !file.endsWith(".test.ts")),
    at("package-lock.json"),
    at("vite.config.ts"),
    at("react-router.config.ts"),
    at("tsconfig.json"),
  ];
  const wanted = hash(files.sort());
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === wanted) return true;
  console.error("Building…");
  rmSync(at("build"), { recursive: true, force: true });
  if (!run("npm", ["run", "--silent", "build"], SAYS_ASIDE))
    fail("The build failed; the reason stands above. Nothing was started.");
  writeFileSync(stamp, wanted);
  return true;
}

function listFiles(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) =>
    entry.isDirectory() ? listFiles(join(folder, entry.name)) : [join(folder, entry.name)],
  );
}

function hash(files, salt = "") {
  const sum = createHash("sha256").update(salt);
  for (const file of files) sum.update(file.slice(home.length)).update(readFileSync(file));
  return sum.digest("hex");
}

/** The demo's own feed folder, where none is named. */
function moverFlags(flags) {
  return flags.includes("--folder") ? flags : ["--folder", at("data", "demo.vesko.db.feeds"), ...flags];
}

/** Runs the server, and runs it again when it died after it had the show open once. */
function serve(options) {
  const { language, args } = takeLanguage(options);
  const diedAtMs = [];
  let server;
  let isStopping = false;
  let hasServed = false;
  for (const signal of ["SIGINT", "SIGTERM"])
    process.on(signal, () => {
      isStopping = true;
      server.kill(signal);
    });
  const start = (args) => {
    server = spawn(process.execPath, [at("build", "server", "main.js"), ...args], {
      cwd: process.cwd(),
      stdio: ["inherit", "inherit", "inherit", "ipc"],
      env: { ...process.env, NODE_ENV: "production", VESKO_LANGUAGE: language },
    });
    server.on("message", () => {
      hasServed = true;
    });
    server.on("exit", (code, signal) => {
      const exit = code ?? 128 + (constantsOf.signals[signal] ?? 0);
      if (isStopping || code === 0 || code === WONT_START || !hasServed) process.exit(exit);
      const nowMs = Date.now();
      diedAtMs.push(nowMs);
      const often = diedAtMs.filter((ms) => nowMs - ms < RESTARTS_WITHIN_MS).length;
      if (often > MOST_RESTARTS) {
        console.error(
          `The server ended ${often} times in ten minutes and is not started again. Outputs keep their picture. What it said last stands above; start it with --restore to go on with the newest copy.`,
        );
        process.exit(exit);
      }
      console.error(
        `The server ended by itself (${signal ?? code}) and is started again; outputs keep their picture.`,
      );
      // What was asked for once is not asked for again.
      setTimeout(() => start(args.filter((arg) => arg !== "--restore" && arg !== "--as-it-is")), 200 * often);
    });
  };
  start(args);
}

/** Chromium for the browser tests: named, found, or on Debian installed. */
function findChromium() {
  const named = process.env.CHROMIUM_PATH;
  if (named) return existsSync(named) ? named : fail(`CHROMIUM_PATH names ${named}, which is not there.`);
  const names = ["chromium", "chromium-browser", "google-chrome"];
  const found = () => names.map(findProgram).find(Boolean);
  if (found()) return found();
  if (findProgram("apt-get")) {
    console.log("Installing Chromium for the browser tests…");
    const env = { ...process.env, DEBIAN_FRONTEND: "noninteractive" };
    run("apt-get", ["update", "-qq"], { env });
    run("apt-get", ["install", "-y", "-qq", "--no-install-recommends", "chromium"], { env });
  }
  return (
    found() ??
    fail("The browser tests need Chromium. Install it, or name one with CHROMIUM_PATH, and run this again.")
  );
}

async function test() {
  const chromium = findChromium();
  const results = at("test-results");
  mkdirSync(results, { recursive: true });
  const unitFile = join(results, "unit.json");
  const browserFile = join(results, "browser.json");
  const attacksFile = join(results, "attacks.json");
  for (const file of [unitFile, attacksFile, browserFile]) rmSync(file, { force: true });
  const env = { ...process.env, CHROMIUM_PATH: chromium, PLAYWRIGHT_JSON_OUTPUT_NAME: browserFile };
  const npx = (...args) => run("npx", ["--no-install", ...args], { env });
  const steps = [
    // What lint looks for among the types of routes is there before it looks.
    [
      "Types, lint and import rules",
      () => npx("react-router", "typegen") && runTogether("typecheck", "lint"),
    ],
    [
      "Unit tests",
      () => npx("vitest", "run", "--reporter=default", "--reporter=json", `--outputFile.json=${unitFile}`),
    ],
    ["Build", build],
    [
      "Attacks on instances of our own, and whether every bench runs",
      () => {
        process.env.CHROMIUM_PATH = chromium;
        return runTogether("attack", "bench:short");
      },
    ],
    ["Browser tests", () => npx("playwright", "test", "--reporter=list,json")],
  ];
  const failed = [];
  for (const [name, work] of steps) {
    console.log(`\n== ${name}`);
    const startedMs = Date.now();
    if (!(await work())) failed.push(name);
    console.log(
      `== ${name}: ${failed.includes(name) ? "FAILED" : "ok"}, ${Math.round((Date.now() - startedMs) / 1000)} s`,
    );
  }
  const unit = readJson(unitFile);
  const browser = readJson(browserFile);
  const passed = (unit?.numPassedTests ?? 0) + (browser?.stats?.expected ?? 0);
  const notPassed =
    (unit?.numFailedTests ?? 0) + (browser?.stats?.unexpected ?? 0) + (browser?.stats?.flaky ?? 0);
  if (failed.length > 0) console.log(`\nFailed: ${failed.join(", ")}`);
  for (const sentence of whyFailed(unit, readJson(attacksFile), browser)) console.log(`  ${sentence}`);
  console.log(`\n${passed} passed, ${notPassed} failed`);
  process.exit(failed.length > 0 || notPassed > 0 || passed === 0 ? 1 : 0);
}

/** What failed and why, in few lines: the end of a long output is what is kept of it. */
function whyFailed(unit, attacks, browser) {
  const units = (unit?.testResults ?? []).flatMap(({ name, message, assertionResults }) => [
    ...(message ? [`${name.slice(home.length + 1)}: ${message}`] : []),
    ...assertionResults
      .filter(({ status }) => status === "failed")
      .map(({ fullName, failureMessages }) => `${fullName}: ${failureMessages[0] ?? ""}`),
  ]);
  const specsOf = ({ specs = [], suites = [] }) => [...specs, ...suites.flatMap(specsOf)];
  const specs = specsOf({ suites: browser?.suites }).flatMap(({ ok, file, title, tests }) =>
    ok ? [] : [`${file} › ${title}: ${tests[0]?.results.at(-1)?.error?.message ?? ""}`],
  );
  return [...units, ...(attacks?.broken ?? []), ...specs].map((line) => line.slice(0, 600));
}

function readJson(file) {
  return existsSync(file) ? JSON.parse(readFileSync(file, "utf8")) : undefined;
}
