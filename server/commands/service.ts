import { userInfo } from "node:os";
import { join, resolve } from "node:path";
import { type Command, CommandMisused } from "./command.ts";
import { readOptions } from "./options.ts";

export const service: Command = {
  does: "prints a systemd unit that starts Vesko with the machine",
  help: `Usage: node vesko.mjs service [--user NAME] [--db FILE] [--port N] [--host NAME] [-- OPTIONS OF start]

Prints a unit for systemd. Nothing is installed:

  node vesko.mjs service --port 4400 > vesko.service
  sudo cp vesko.service /etc/systemd/system/ && sudo systemctl enable --now vesko`,
  run: async (args, { home }) => {
    const { values, positionals } = readOptions(
      args,
      {
        user: { type: "string", default: userInfo().username },
        db: { type: "string" },
        port: { type: "string" },
        host: { type: "string" },
      },
      true,
    );
    if (!/^[a-z_][a-z0-9_-]*\$?$/i.test(values.user))
      throw new CommandMisused(`“${values.user}” is no user’s name`);
    const named = (["db", "port", "host"] as const).flatMap((name) => {
      const value = values[name];
      return value === undefined ? [] : [`--${name}`, name === "db" ? resolve(value) : value];
    });
    const words = [process.execPath, join(home, "vesko.mjs"), "start", ...named, ...positionals];
    return [
      "[Unit]",
      "Description=Vesko, live graphics",
      "After=network.target",
      "",
      "[Service]",
      `User=${values.user}`,
      `WorkingDirectory=${inUnit(home)}`,
      `ExecStart=${words.map(quoted).join(" ")}`,
      "Environment=NODE_ENV=production",
      "Restart=on-failure",
      // Told to start by a person only: another start would meet the same problem.
      "RestartPreventExitStatus=2",
      "KillSignal=SIGTERM",
      "TimeoutStopSec=20",
      "NoNewPrivileges=true",
      "PrivateTmp=true",
      "ProtectSystem=full",
      "",
      "[Install]",
      "WantedBy=multi-user.target",
    ];
  },
};

/** Percent signs are specifiers there. Source: systemd.unit(5). */
const inUnit = (text: string): string => text.replaceAll("%", "%%");
/** Source: systemd.service(5), “Command lines”. */
const quoted = (word: string): string =>
  `"${inUnit(word).replaceAll("\\", "\\\\").replaceAll('"', '\\"').replaceAll("$", "$$$$")}"`;
