// Writes what the screens take from docs/openapi.yaml: the types, and the bounds of the fields in requests.
import { execFileSync } from "node:child_process";
import { readFileSync, writeFileSync } from "node:fs";
import { load } from "js-yaml";

const CONTRACT = "../docs/openapi.yaml";
const PLAN = "../docs/formats/session.schema.json";
// Schemas besides the requests whose fields are edited in forms.
const EDITED = ["Exercise", "Reminder", "Training", "VoiceSettings"];
const KEYS = ["minimum", "maximum", "minLength", "maxLength", "maxItems"];

/** Returns the bounds of each property, those of list items under the name of their list. */
function boundsOf(properties) {
  return Object.fromEntries(
    Object.entries(properties ?? {})
      .map(([name, field]) => {
        const items = Object.fromEntries(KEYS.filter((key) => key in (field.items ?? {})).map((key) => [key, field.items[key]]));
        const own = Object.fromEntries(KEYS.filter((key) => key in field).map((key) => [key, field[key]]));
        return [name, { ...items, ...own }];
      })
      .filter(([, bounds]) => Object.keys(bounds).length > 0),
  );
}

const { schemas } = load(readFileSync(CONTRACT, "utf8")).components;
const plan = JSON.parse(readFileSync(PLAN, "utf8"));
const bounds = {
  ...Object.fromEntries(
    Object.entries(schemas)
      .filter(([name]) => name.endsWith("Request") || EDITED.includes(name))
      .map(([name, schema]) => [name, boundsOf(schema.properties)]),
  ),
  NumberRequest: boundsOf(schemas.NumberingRequest.properties.numbers.items.properties),
  Plan: boundsOf(plan.properties),
  PlanBlock: boundsOf(plan.properties.blocks.items.properties),
  PlanRound: boundsOf(plan.$defs.round.properties),
  PlanSet: boundsOf(plan.$defs.sets.items.properties),
  PlanChain: boundsOf(plan.$defs.sets.items.properties.combinations.items.oneOf[1].properties),
  PlanTrack: boundsOf(plan.properties.tracks.items.properties),
};
const used = Object.fromEntries(Object.entries(bounds).filter(([, fields]) => Object.keys(fields).length > 0));
writeFileSync(
  "src/api/bounds.gen.ts",
  `// Written by "npm run api" from docs/openapi.yaml.\nexport const BOUNDS = ${JSON.stringify(used)} as const;\n`,
);
execFileSync("npx", ["openapi-typescript", CONTRACT, "--root-types", "--root-types-no-schema-prefix", "-o", "src/api/schema.d.ts"], { stdio: "inherit" });
