import { t } from "@lingui/core/macro";
import createClient, { type Middleware } from "openapi-fetch";
import { noteConnection } from "./connection";
import type { components, paths } from "./schema";

type Schemas = components["schemas"];
export type BulkRequest = Schemas["BulkRequest"];
export type Check = Schemas["Check"];
export type CheckRequest = Schemas["CheckRequest"];
export type Balance = Schemas["Balance"];
export type Combination = Schemas["Combination"];
export type CombinationRow = Schemas["CombinationRow"];
export type Continuation = Schemas["Continuation"];
export type Continuations = Schemas["Continuations"];
export type FileFormat = Schemas["FileFormat"];
export type Effects = Schemas["Effects"];
export type Finding = Schemas["Finding"];
export type GenerateRequest = Schemas["GenerateRequest"];
export type Generation = Schemas["Generation"];
export type Gym = Schemas["Gym"];
export type GymRequest = Schemas["GymRequest"];
export type GymSummary = Schemas["GymSummary"];
export type SetupRequest = Schemas["SetupRequest"];
export type Status = Schemas["Status"];
export type Training = Schemas["Training"];
export type HouseRules = Schemas["HouseRules"];
export type Item = Schemas["Item"];
export type ItemEdit = Schemas["ItemEdit"];
export type ItemEdits = Schemas["ItemEdits"];
export type Limb = Schemas["Limb"];
export type Permission = Schemas["Permission"];
export type Link = Schemas["Link"];
export type LineDrawing = Schemas["LineDrawing"];
export type Model = Schemas["Model"];
export type Mend = Schemas["Mend"];
export type Mends = Schemas["Mends"];
export type OtherStance = Schemas["OtherStance"];
export type Problem = Schemas["Problem"];
export type ReadingProblem = Schemas["ReadingProblem"];
export type RulePreview = Schemas["RulePreview"];
export type Rules = Schemas["Rules"];
export type RulesRequest = Schemas["RulesRequest"];
export type SaveRequest = Schemas["SaveRequest"];
export type Numberings = Schemas["Numberings"];
export type NumberingId = Schemas["NumberingId"];
export type Session = Schemas["Session"];
export type Stance = Schemas["Stance"];
export type Target = Schemas["Target"];
export type Verdict = Schemas["Verdict"];
export type Version = Schemas["Version"];
export type CombinationPage = Schemas["CombinationPage"];
export type Content = Schemas["Content"];
export type Match = Schemas["Match"];
export type Matches = Schemas["Matches"];
export type FamilyOfOne = Schemas["FamilyOfOne"];
export type Relative = Schemas["Relative"];
export type Proposal = Schemas["Proposal"];
export type ProposalRow = Schemas["ProposalRow"];
export type ProposalRequest = Schemas["ProposalRequest"];
export type DecisionRequest = Schemas["DecisionRequest"];
export type Import = Schemas["Import"];
export type ImportLine = Schemas["ImportLines"]["lines"][number];
export type ImportLineRequest = Schemas["ImportLineRequest"];
export type ImportRequest = Schemas["ImportRequest"];
export type Numbering = Schemas["Numbering"];
export type NumberingRequest = Schemas["NumberingRequest"];
export type NumberingPreview = Schemas["NumberingPreview"];
export type NumberDifference = Schemas["NumberDifference"];
export type MergeRequest = Schemas["MergeRequest"];
export type NearDuplicates = Schemas["NearDuplicates"];
export type ThemeRequest = Schemas["ThemeRequest"];
export type View = Schemas["Views"]["views"][number];
export type Coach = Schemas["Coach"];
export type Course = Schemas["Course"];
export type CourseRequest = Schemas["CourseRequest"];
export type Drill = Schemas["Drill"];
export type DrillParameter = Schemas["DrillParameter"];
export type Advice = Schemas["Advice"];
export type Exercise = Schemas["Exercise"];
export type Reminder = Schemas["Reminder"];
export type Plan = Schemas["Plan"];
export type PlanRow = Schemas["PlanRow"];
export type PlanRequest = Schemas["PlanRequest"];
export type SessionDocument = Schemas["SessionDocument"];
export type SessionLoad = Schemas["SessionLoad"];
export type Composition = Schemas["Composition"];
export type Programme = Schemas["Programme"];
export type ProgrammeChain = Schemas["ProgrammeChain"];
export type ProgrammeCue = Schemas["ProgrammeCue"];
export type ProgrammeSegment = Schemas["ProgrammeSegment"];
export type Run = Schemas["Run"];
export type RunCommand = Schemas["CommandRequest"];
export type RunRecord = Schemas["RunRecord"];
export type RunState = Schemas["RunState"];
export type Screen = Schemas["Screen"];
export type ScreenRun = Schemas["ScreenRun"];
export type Shown = Schemas["ShownRequest"]["shown"][number];
export type StartRequest = Schemas["StartRequest"];
export type Voice = Schemas["Voice"];
export type VoiceSettings = Schemas["VoiceSettings"];
export type Wall = Schemas["Wall"];
export type AthleteCard = Schemas["AthleteCard"];
export type Card = Schemas["Card"];
export type CardRequest = Schemas["CardRequest"];
export type CombinationBrief = Schemas["CombinationBrief"];
export type DrilledReport = Schemas["DrilledReport"];
export type DueList = Schemas["DueList"];
export type EntryRequest = Schemas["EntryRequest"];
export type LinkTrouble = Schemas["LinkTrouble"];
export type LoadReport = Schemas["LoadReport"];
export type LogDrilled = Schemas["LogDrilled"];
export type LogEntry = Schemas["LogEntry"];
export type LogImport = Schemas["LogImport"];
export type LogRow = Schemas["LogRow"];
export type Measured = Schemas["Measured"];
export type MeasuredLink = Schemas["MeasuredLink"];
export type MonthReport = Schemas["MonthReport"];
export type Onsets = Schemas["Onsets"];
export type Path = Schemas["Path"];
export type PathStep = Schemas["PathStep"];

/** An error answer of the server, with its sentence for people. */
export class Refusal extends Error {
  constructor(readonly problem: Problem) {
    super(problem.title);
  }
}

/** The problem shown when there is no answer. */
export const AWAY: Problem = {
  type: "away",
  status: 0,
  title: t`Cannot reach the server. What you typed is still here; try again shortly.`,
};

/** Statuses of a proxy whose server is down. */
const AWAY_STATUS = new Set([502, 503, 504]);

function isProblem(error: unknown): error is Problem {
  const problem = error as Partial<Problem> | undefined;
  return Boolean(problem?.title && problem.type);
}

/** Tells whether the server could not be reached; a refusal is an answer. */
export function isAway(error: unknown): boolean {
  return error instanceof Refusal && (error.problem.type === AWAY.type || error.problem.type === "server-away");
}

/** Number of retries when the server is busy with other long tasks of the same coach. */
const BUSY_RETRIES = 4;

/** Tells whether to retry: once, but not after a final refusal. */
export function again(count: number, error: unknown): boolean {
  if (error instanceof Refusal && error.problem.type === "busy") {
    return count < BUSY_RETRIES;
  }
  return count < 1 && !(error instanceof Refusal && error.problem.status >= 400 && error.problem.status < 500);
}

let token = "";

/** Remembers the CSRF token of the session, which is sent with every write. */
export function rememberToken(next: string): void {
  token = next;
}

const withToken: Middleware = {
  onRequest({ request }) {
    if (request.method !== "GET") {
      request.headers.set("X-CSRF-Token", token);
    }
    return request;
  },
};

export const api = createClient<paths>({ baseUrl: window.location.origin });
api.use(withToken);

/** Returns the header that names the version a write is based on. */
export const ifMatch = (version: number) => ({ "If-Match": `"${version}"` });

/** Returns the data of an answer, or throws its refusal. */
export async function answered<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let result: { data?: T; error?: unknown; response: Response };
  try {
    result = await call;
  } catch (error) {
    if (error instanceof DOMException && error.name === "AbortError") {
      throw error;
    }
    noteConnection(false);
    throw new Refusal(AWAY);
  }
  noteConnection(!AWAY_STATUS.has(result.response.status) || isProblem(result.error));
  if (!result.response.ok) {
    throw new Refusal(isProblem(result.error) ? result.error : { ...AWAY, status: result.response.status });
  }
  return result.data as T;
}

export function refusal(error: unknown): Problem {
  return error instanceof Refusal ? error.problem : AWAY;
}
