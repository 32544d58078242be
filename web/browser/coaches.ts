/** The demo accounts. */
export const HEAD_COACH = { email: "ines@saltworks.example", password: "first-bell-7", name: "Ines Varga" };
export const COACH = { email: "tomas@saltworks.example", password: "second-bell-7", name: "Tomas Okafor" };
export const OTHER_COACH = { email: "liv@saltworks.example", password: "third-bell-7", name: "Liv Aaltonen" };
