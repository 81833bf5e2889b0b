import { sections, show } from "./outline.js";

// A brief saves itself field by field. What somebody else changed is shown beside what was typed; nothing is lost.
const PAUSE = 900;
const AGAIN = 5000;

const brief = () => document.querySelector("[data-brief]:not([data-fixed=true])");
const fields = () => [...(brief()?.querySelectorAll("[data-field]") ?? [])];

function value(field) {
  if (field.dataset.field === "Outline") return JSON.stringify(sections());
  if (field.dataset.field === "Words") {
    return [...field.querySelectorAll("input")].map((end) => end.value.trim()).join(" ").trim();
  }
  return field.querySelector("textarea, input").value;
}

function put(field, kept) {
  if (field.dataset.field === "Outline") show(JSON.parse(kept || "[]"));
  else field.querySelector("textarea, input").value = kept;
}

/** What a field showed when it was last the same as what is kept. */
const shown = new WeakMap();

function isChanged(field) {
  return shown.has(field) && shown.get(field) !== value(field);
}

function prepare() {
  fields().forEach((field) => {
    if (!shown.has(field)) shown.set(field, value(field));
  });
}

function state(text) {
  const saved = document.querySelector("#brief-saved");
  if (saved) saved.textContent = text;
}

function beneath(field, ...what) {
  field.querySelector(".field-says")?.remove();
  if (what.length === 0) return;
  const says = document.createElement("div");
  says.className = "field-says";
  says.setAttribute("role", "alert");
  says.append(...what);
  field.append(says);
}

function element(html) {
  return new DOMParser().parseFromString(html, "text/html").body.firstElementChild;
}

function version(now) {
  document.querySelectorAll("[data-brief-version]").forEach((input) => {
    input.value = now;
  });
  document.querySelector("#sign-off button")?.removeAttribute("disabled");
}

/** Shows what follows from a save, the chosen list of what evidence says staying in sight. */
function follow(answer) {
  version(answer.dataset.version);
  state(answer.dataset.said);
  document.querySelector("#budget").textContent = answer.dataset.budget;
  for (const id of ["lacks", "remarks", "said"]) {
    const next = answer.querySelector(`#${id}`);
    if (next) document.querySelector(`#${id}`)?.replaceWith(next);
  }
  choose(chosen);
}

/** The outline as others and the length left it, unless somebody is typing in it. */
function outline(kept) {
  const field = fields().find((its) => its.dataset.field === "Outline");
  if (!field || isChanged(field)) return;
  if (kept !== value(field)) show(JSON.parse(kept));
  field.dataset.seen = kept;
  shown.set(field, value(field));
}

function button(words, act) {
  const made = document.createElement("button");
  made.type = "button";
  made.className = "btn btn-quiet";
  made.textContent = words;
  made.addEventListener("click", act);
  return made;
}

function clash(field, answer) {
  const { theirs = "", by } = answer.dataset;
  const said = document.createElement("p");
  said.textContent = `Changed while you were writing, by ${by}:`;
  const choose = document.createElement("p");
  choose.append(
    button("Keep mine", () => {
      field.dataset.seen = theirs;
      beneath(field);
      save(field);
    }),
    " ",
    button("Take theirs", () => {
      put(field, theirs);
      field.dataset.seen = theirs;
      shown.set(field, value(field));
      beneath(field);
    }),
  );
  beneath(field, said, ...answer.childNodes, choose);
  state("not saved: someone else changed this too");
}

let going = Promise.resolve();

/** One after the other, so that each is told what the one before it left. */
function save(field) {
  going = going.then(() => send(field));
  return going;
}

async function send(field) {
  if (!field.isConnected || !isChanged(field)) return;
  const sent = value(field);
  state("saving …");
  let answer;
  try {
    const token = document.querySelector("#brief-form [name=_csrf]").value;
    const body = new URLSearchParams({ field: field.dataset.field, seen: field.dataset.seen ?? "", value: sent, _csrf: token });
    answer = await fetch(brief().dataset.save, { method: "POST", body, headers: { "HX-Request": "true" } });
  } catch {
    state("not saved: no connection. What you typed is still here.");
    setTimeout(() => save(field), AGAIN);
    return;
  }
  if (answer.headers.get("HX-Redirect")) {
    state("not saved: you were signed out. Sign in in another tab, then change something here.");
    return;
  }
  const body = element(await answer.text());
  if (answer.status === 409) clash(field, body);
  else if (answer.ok) {
    beneath(field);
    field.dataset.seen = body.dataset.kept ?? "";
    shown.set(field, sent);
    follow(body);
    outline(body.dataset.outline);
    if (isChanged(field)) save(field);
  } else {
    beneath(field, body);
    state("not saved");
  }
}

let timer = null;
document.addEventListener("input", (event) => {
  const field = event.target.closest?.("[data-field]");
  if (!field || !brief()) return;
  clearTimeout(timer);
  timer = setTimeout(flush, PAUSE);
});

/** Saves all that was changed. */
function flush() {
  clearTimeout(timer);
  return Promise.all(fields().filter(isChanged).map(save));
}

document.addEventListener("focusout", (event) => {
  const field = event.target.closest?.("[data-field]");
  if (field && isChanged(field)) save(field);
});

document.addEventListener("keydown", (event) => {
  if (brief() && (event.ctrlKey || event.metaKey) && event.key === "s") {
    event.preventDefault();
    flush();
  }
});

window.addEventListener("beforeunload", (event) => {
  if (fields().some(isChanged)) {
    flush();
    event.preventDefault();
  }
});

// What acts on the whole brief waits until what was typed is saved.
document.addEventListener(
  "submit",
  async (event) => {
    if (!event.target.matches("[data-brief-first]") || !fields().some(isChanged)) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    const by = event.submitter;
    await flush();
    if (!fields().some(isChanged)) event.target.requestSubmit(by);
  },
  true,
);

// Without a button to press, the form itself is never sent.
document.addEventListener("submit", (event) => {
  if (event.target.id !== "brief-form") return;
  event.preventDefault();
  flush();
});

let chosen = "open";

function choose(what) {
  chosen = what;
  document.querySelectorAll("[data-said]").forEach((tab) => tab.setAttribute("aria-selected", tab.dataset.said === what));
  document.querySelectorAll("[data-said-list]").forEach((list) => {
    list.hidden = list.dataset.saidList !== what;
  });
}

document.addEventListener("click", (event) => {
  const tab = event.target.closest("[data-said]");
  if (tab) choose(tab.dataset.said);
});

// The title bench by keys: up and down, Enter picks, p keeps the pattern, Delete takes away.
const ACTS = { Enter: "pick", p: "pattern", Delete: "remove" };

document.addEventListener("keydown", (event) => {
  const row = event.target;
  if (!row.matches?.(".bench-row")) return;
  const step = { ArrowDown: "nextElementSibling", ArrowUp: "previousElementSibling" }[event.key];
  const act = row.querySelector(`[data-act=${ACTS[event.key] ?? "none"}]`);
  if (!step && !act) return;
  event.preventDefault();
  event.stopPropagation();
  if (step) row[step]?.focus();
  else act.requestSubmit();
});

// A page that comes without loading everything again is prepared as it comes.
document.addEventListener("htmx:load", () => {
  const bench = document.querySelector("#bench");
  if (bench?.dataset.version > 0) version(bench.dataset.version);
  prepare();
});
prepare();
