import { randomUUID } from "node:crypto";
import { existsSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { z } from "zod";
import { isAnswerTo } from "./secret.ts";

/** What a first machine keeps beside its show of the one that followed it last. */
const knownSchema = z.object({
  address: z.url(),
  /** The secret of both. */
  token: z.string(),
  /** It led when this one knew of it last. */
  leads: z.boolean().default(false),
});
type KnownSecond = z.input<typeof knownSchema>;

const leadsSchema = z.object({ leads: z.boolean(), answer: z.string() });
/** Two that lead are worse than a start that waits: also a machine that is hardly coming to anything is heard out. */
const ANSWERS_WITHIN_MS = 8_000;

const nameBeside = (file: string): string => `${file}.second.json`;

export function keepSecond(file: string, known: KnownSecond): void {
  writeFileSync(nameBeside(file), JSON.stringify(known), { mode: 0o600 });
}

export function forgetSecond(file: string): void {
  rmSync(nameBeside(file), { force: true });
}

function readSecond(file: string): z.infer<typeof knownSchema> | undefined {
  if (!existsSync(nameBeside(file))) return undefined;
  try {
    return knownSchema.parse(JSON.parse(readFileSync(nameBeside(file), "utf8")));
  } catch {
    return undefined;
  }
}

/** The second machine leads from now on: a first machine that is started again must not forget it. */
export function keepThatSecondLeads(file: string): void {
  const known = readSecond(file);
  if (known) keepSecond(file, { ...known, leads: true });
}

export interface OtherLeader {
  readonly address: string;
  /** Whether it says so now; else it did when it was heard last. */
  readonly answers: boolean;
}

/** @returns the other machine, where it leads this very show; undefined where none is known, or it follows */
export async function whoLeads(file: string): Promise<OtherLeader | undefined> {
  const known = readSecond(file);
  if (!known) return undefined;
  const { address, token, leads } = known;
  if (await isLeading(address, token)) return { address, answers: true };
  return leads ? { address, answers: false } : undefined;
}

/** Whether a machine answers that it leads the show of which this is the secret. */
export async function isLeading(address: string, token: string): Promise<boolean> {
  const question = randomUUID();
  try {
    const response = await fetch(new URL(`/second/leads?question=${question}`, address), {
      signal: AbortSignal.timeout(ANSWERS_WITHIN_MS),
    });
    const { leads, answer } = leadsSchema.parse(await response.json());
    return leads && isAnswerTo(question, token, answer);
  } catch {
    return false;
  }
}

const hadName = (file: string): string => `${file}.follows.json`;
const hadSchema = z.object({
  from: z.string(),
  show: z.string(),
  /** It leads; else all of the show is here, up to when it followed last. */
  leads: z.boolean(),
});

/** What this machine has of another one's show: started again as it was before, it goes on leading, or has what it had. */
export function keepHad(file: string, leader: URL, show: string, leads: boolean): void {
  writeFileSync(hadName(file), JSON.stringify({ from: leader.host, show, leads }), { mode: 0o600 });
}

/** What it had of this very machine when it ran last. */
export function findHad(
  file: string,
  leader: URL,
): { readonly show: string; readonly leads: boolean } | undefined {
  if (!existsSync(hadName(file)) || !existsSync(file)) return undefined;
  try {
    const had = hadSchema.parse(JSON.parse(readFileSync(hadName(file), "utf8")));
    return had.from === leader.host ? had : undefined;
  } catch {
    return undefined;
  }
}

export function forgetHad(file: string): void {
  rmSync(hadName(file), { force: true });
}
