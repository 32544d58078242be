/** Coaches who use the API of a running gym, shared by what puts load on it. */

export const pause = (ms) => new Promise((done) => setTimeout(done, ms));
export const any = (list) => list[Math.floor(Math.random() * list.length)];

export class Coach {
  cookie = "";
  token = "";

  /**
   * @param {string} base address of the gym
   * @param {(answer: { what: string, status: number, retryAfter: string | null, text: string, began: number }) => void} note
   * told of every answer
   * @param {number} timeoutMs after which no answer is waited for any more
   */
  constructor(base, note = () => undefined, timeoutMs = 60_000) {
    this.base = base;
    this.note = note;
    this.timeoutMs = timeoutMs;
  }

  async ask(method, path, body, headers = {}) {
    const began = Date.now();
    const response = await fetch(this.base + path, {
      method,
      headers: {
        Accept: "application/json",
        Cookie: this.cookie,
        "X-CSRF-Token": this.token,
        ...(body ? { "Content-Type": "application/json" } : {}),
        ...headers,
      },
      body: body ? JSON.stringify(body) : undefined,
      signal: AbortSignal.timeout(this.timeoutMs),
    });
    for (const cookie of response.headers.getSetCookie()) {
      this.cookie = cookie.split(";")[0];
    }
    const text = await response.text();
    const what = `${method} ${path.replace(/\d+/g, "N").replace(/\?.*/, "")} ${response.status}`;
    this.note({ what, status: response.status, retryAfter: response.headers.get("retry-after"), text, began });
    return { status: response.status, etag: response.headers.get("etag"), body: text === "" ? null : JSON.parse(text) };
  }

  async signIn(email, password) {
    this.token = (await this.ask("GET", "/api/session")).body.csrfToken;
    const answer = await this.ask("POST", "/api/session", { email, password });
    if (answer.status !== 200) {
      throw new Error(`${email} cannot sign in: ${JSON.stringify(answer.body)}`);
    }
    this.token = (await this.ask("GET", "/api/session")).body.csrfToken;
  }
}

/**
 * Invites coaches and signs them in.
 *
 * @param {Coach} head who invites them
 * @param {number} count
 * @param {number} heads how many of them, from the first, are head coaches
 */
export async function gather(head, count, heads) {
  const coaches = [];
  for (let at = 0; at < count; at += 1) {
    const role = at < heads ? "head-coach" : "coach";
    const made = await head.ask("POST", "/api/invitations", { role });
    const coach = new Coach(head.base, head.note, head.timeoutMs);
    coach.token = (await coach.ask("GET", "/api/session")).body.csrfToken;
    const email = `load-${Date.now()}-${at}@saltworks.example`;
    const password = "long-enough-bell";
    await coach.ask("POST", "/api/invitations/accept", { token: made.body.token, name: `Coach ${at}`, email, password });
    await coach.signIn(email, password);
    coaches.push({ coach, at, head: role === "head-coach" });
  }
  return coaches;
}
