import { z } from "zod";
import type { ChromaKey } from "../picture/chromaKey.ts";

const fraction = z.number().min(0).max(1);
export const chromaKeySchema: z.ZodType<ChromaKey> = z.strictObject({
  color: z.string().regex(/^#[0-9a-f]{6}$/i, "a colour is #rrggbb"),
  tolerance: fraction,
  softness: fraction,
  spill: fraction,
});

/** A picture, clip or sound as it was found when it was brought in; pinned under its hash like words are. */
export const mediaInfoSchema = z.strictObject({
  kind: z.literal("media"),
  name: z.string().max(200),
  type: z.enum(["picture", "video", "sound"]),
  /** What the file is, as it was found by its bytes. */
  mime: z.enum([
    "image/png",
    "image/jpeg",
    "image/webp",
    "image/gif",
    "image/avif",
    "video/webm",
    "video/mp4",
    "audio/mpeg",
    "audio/wav",
    "audio/ogg",
    "audio/flac",
    "audio/mp4",
    "audio/webm",
  ]),
  /** A picture that moves: only its first picture is shown. */
  isAnimated: z.boolean().optional(),
  /** SHA-256 of the file's bytes: where windows fetch it. */
  file: z.string().regex(/^[0-9a-f]{64}$/),
  /** A still of a clip, for painters that cannot play it; null for pictures. */
  poster: z
    .string()
    .regex(/^[0-9a-f]{64}$/)
    .nullable(),
  widthPx: z.number().int().min(0).max(32_768),
  /** 0 for sounds. */
  heightPx: z.number().int().min(0).max(32_768),
  /** Without alpha a clip cannot lie over a picture, unless it is keyed. */
  hasAlpha: z.boolean(),
  /** Null for pictures. */
  durationMs: z.number().positive().nullable(),
  hasSound: z.boolean(),
  key: chromaKeySchema.nullable(),
});
export type MediaInfo = z.infer<typeof mediaInfoSchema>;

/** Hash → what is known of it. */
export type MediaCatalog = (hash: string) => MediaInfo | undefined;

export const NO_MEDIA: MediaCatalog = () => undefined;
