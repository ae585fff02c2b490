declare module "smpte-timecode" {
  export default function Timecode(
    frame: number,
    frameRate: number,
    dropFrame: boolean,
  ): { toString(): string };
}
