// Writes what the screens take from docs/openapi.yaml: the types, and the bounds of the fields in requests.
import { readFileSync, writeFileSync } from "node:fs";
import { load } from "js-yaml";
import openapiTS, { astToString } from "openapi-typescript";

const CONTRACT = "../docs/openapi.yaml";
const PLAN = "../docs/formats/session.schema.json";
// Schemas besides the requests whose fields are edited in forms.
const EDITED = ["Exercise", "Fault", "Reminder", "Training", "VoiceSettings"];
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

const contract = load(readFileSync(CONTRACT, "utf8"));
const { schemas } = contract.components;

// The plan has a schema of its own, for whoever writes one by hand. Its parts get names among the other types. The
// screens read and send plans in which everything is written out: no short forms, and nothing that is no plan.
const parts = { block: "PlanBlock", round: "PlanRound", lane: "PlanLane", set: "PlanSet", combination: "PlanCombination", track: "PlanTrack", medium: "Medium", level: "PlanLevel" };
const text = readFileSync(PLAN, "utf8").replaceAll(/"#\/\$defs\/(\w+)"/g, (_, part) => `"#/components/schemas/${parts[part]}"`);
const { $defs, $schema, ...plan } = JSON.parse(text);
for (const [part, schema] of Object.entries($defs)) {
  schemas[parts[part]] ??= schema;
}
schemas.PlanSet.properties.combinations.items = { $ref: "#/components/schemas/PlanCombination" };
schemas.PlanContent = plan;
schemas.WrittenPlan = { $ref: "#/components/schemas/PlanContent" };

const bounds = {
  ...Object.fromEntries(
    Object.entries(schemas)
      .filter(([name]) => name.endsWith("Request") || EDITED.includes(name))
      .map(([name, schema]) => [name, boundsOf(schema.properties)]),
  ),
  NumberRequest: boundsOf(schemas.NumberingRequest.properties.numbers.items.properties),
  Plan: boundsOf(plan.properties),
  ...Object.fromEntries(Object.values(parts).map((name) => [name, boundsOf(schemas[name].properties)])),
};
const used = Object.fromEntries(Object.entries(bounds).filter(([, fields]) => Object.keys(fields).length > 0));
writeFileSync(
  "src/api/bounds.gen.ts",
  `// Written by "npm run api" from docs/openapi.yaml.\nexport const BOUNDS = ${JSON.stringify(used)} as const;\n`,
);
const types = await openapiTS(contract, { rootTypes: true, rootTypesNoSchemaPrefix: true });
writeFileSync("src/api/schema.d.ts", `// Written by "npm run api" from docs/openapi.yaml.\n${astToString(types)}`);
