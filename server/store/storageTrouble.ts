import { t } from "../../core/language/t.ts";

/** What SQLite and the file system call a disk that is full, locked or cannot be written. */
const TROUBLE =
  /^(SQLITE_(FULL|READONLY|BUSY|LOCKED|CANTOPEN|IOERR|PROTOCOL)|ENOSPC|EFBIG|EROFS|EDQUOT|EACCES|EPERM|EIO|EMFILE|ENFILE)/;

/** Whether something failed because of the disk and not of what was asked. */
export function isStorageTrouble(error: unknown): boolean {
  for (let at: unknown = error, depth = 0; at instanceof Error && depth < 5; at = at.cause, depth++)
    if ("code" in at && typeof at.code === "string" && TROUBLE.test(at.code)) return true;
  return false;
}

export const STORAGE_SENTENCE = t`The disk is full or cannot be written, so this was not saved. The show goes on, and what you typed stays here; it is sent again when there is room.`;
