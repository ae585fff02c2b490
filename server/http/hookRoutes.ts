import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { typedValue } from "../../core/triggers/typedValue.ts";
import { oscAddressSchema } from "../../core/triggers/whens/message.ts";
import { problemOf } from "../../core/wire/problem.ts";
import { Throttle } from "../access/throttle.ts";
import type { Services } from "../services/services.ts";
import type { Doors } from "./doors.ts";

const MOST_VALUES = 8;
/** Messages at once, and in a second, from one address. */
const BURST = 40;
const PER_SECOND = 20;

const valuesSchema = z
  .union([z.string().max(200), z.array(z.string().max(200)).max(MOST_VALUES)])
  .optional()
  .transform((given) => (given === undefined ? [] : [given].flat()));

/** Messages of programs that speak HTTP: the same as if they had come by OSC. Only the hook link opens this. */
export function addHookRoutes(doors: Doors, { devices, now }: Services): void {
  const throttle = new Throttle(BURST, PER_SECOND, now);
  doors.postFromElsewhere("hook", "/hook/:token/*address", (request, response) => {
    if (!throttle.take(request.ip ?? ""))
      return void response
        .status(429)
        .json(problemOf("refused", t`Too many messages in a second. This one was dropped.`));
    const parts: unknown = request.params.address;
    const address = oscAddressSchema.safeParse(`/${Array.isArray(parts) ? parts.join("/") : String(parts)}`);
    const values = valuesSchema.safeParse(request.query.value);
    if (!address.success || !values.success)
      return void response
        .status(400)
        .json(
          problemOf(
            "notUnderstood",
            t`That is no address of a message, or has too many values. Nothing was done.`,
          ),
        );
    devices.hear(address.data, values.data.map(typedValue));
    response.json({});
  });
}
