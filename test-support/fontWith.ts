import { readFileSync } from "node:fs";

/** A shipped font in which one of its letters stands for another that no font has. */
export function fontWith(codePoint: number): Buffer {
  const file = "node_modules/@expo-google-fonts/noto-emoji/400Regular/NotoEmoji_400Regular.ttf";
  const font = Buffer.from(readFileSync(file));
  for (let i = 0; i < font.readUInt16BE(4); i++) {
    const entry = 12 + i * 16;
    if (font.toString("latin1", entry, entry + 4) !== "cmap") continue;
    const cmap = font.readUInt32BE(entry + 8);
    for (let k = 0; k < font.readUInt16BE(cmap + 2); k++) {
      const table = cmap + font.readUInt32BE(cmap + 4 + k * 8 + 4);
      if (font.readUInt16BE(table) !== 12) continue;
      // Groups of letters in order: the last one before the wanted letter becomes it.
      const count = font.readUInt32BE(table + 12);
      for (let g = count - 1; g >= 0; g--) {
        const group = table + 16 + g * 12;
        if (font.readUInt32BE(group) > codePoint) continue;
        font.writeUInt32BE(codePoint, group);
        font.writeUInt32BE(codePoint, group + 4);
        // The table's sum, which is looked at when it is brought in.
        const length = font.readUInt32BE(entry + 12);
        let sum = 0;
        for (let at = 0; at < length; at += 4) sum = (sum + font.readUInt32BE(cmap + at)) >>> 0;
        font.writeUInt32BE(sum, entry + 4);
        return font;
      }
    }
  }
  throw new Error("the font has no table of that kind");
}
