// The rows of an outline: add, remove, reorder by drag or Alt and up or down, nest by Alt and left or right. How deep a row
// may stand is said by the answer when it is saved.
function depth(row) {
  return Number(row.dataset.depth);
}

/** The deepest level there is, which the page names. */
function deepest(row) {
  return Number(row.parentElement.dataset.deepest);
}

function setDepth(row, value) {
  row.dataset.depth = value;
  row.querySelector("[name=depth]").value = value;
}

/** The row and the rows nested below it. */
function branch(row) {
  const rows = [row];
  for (let next = row.nextElementSibling; next && depth(next) > depth(row); next = next.nextElementSibling) rows.push(next);
  return rows;
}

function before(row) {
  for (let at = row.previousElementSibling; at; at = at.previousElementSibling) if (depth(at) <= depth(row)) return at;
  return null;
}

const DO = {
  up(row) {
    const target = before(row);
    if (target) target.before(...branch(row));
  },
  down(row) {
    const rows = branch(row);
    const next = rows.at(-1).nextElementSibling;
    if (next) branch(next).at(-1).after(...rows);
  },
  in(row) {
    if (row.previousElementSibling) branch(row).forEach((r) => setDepth(r, Math.min(deepest(row), depth(r) + 1)));
  },
  out(row) {
    if (depth(row) > 0) branch(row).forEach((r) => setDepth(r, depth(r) - 1));
  },
  remove(row) {
    const next = row.nextElementSibling ?? row.previousElementSibling;
    row.remove();
    next?.querySelector("[name=heading]").focus();
  },
};

function changed(list) {
  list.dispatchEvent(new Event("input", { bubbles: true }));
}

function act(row, what) {
  const list = row.parentElement;
  const focused = document.activeElement;
  DO[what](row);
  if (row.isConnected) focused.focus();
  changed(list);
}

function list() {
  return document.querySelector("[data-outline]");
}

/** A row with a name of its own, which it keeps wherever it goes. */
function row(section) {
  const made = document.querySelector("[data-outline-row]").content.firstElementChild.cloneNode(true);
  made.querySelector("[name=id]").value = section.id || `x${crypto.getRandomValues(new Uint32Array(1))[0].toString(36)}`;
  made.querySelector("[name=heading]").value = section.heading ?? "";
  made.querySelector("[name=note]").value = section.note ?? "";
  made.querySelector("[name=words]").value = section.words ?? "";
  setDepth(made, section.depth ?? 0);
  return made;
}

function add(section = {}, after = list().lastElementChild) {
  const made = row({ depth: after ? depth(after) : 0, ...section });
  if (after) branch(after).at(-1).after(made);
  else list().append(made);
  return made;
}

/** The sections as they stand; a row without a heading is none yet. */
export function sections() {
  return [...list().children]
    .map((its) => ({
      id: its.querySelector("[name=id]").value,
      heading: its.querySelector("[name=heading]").value.trim(),
      depth: depth(its),
      note: its.querySelector("[name=note]").value.trim(),
      words: Number(its.querySelector("[name=words]").value.replaceAll(",", "")) || null,
    }))
    .filter((section) => section.heading);
}

/** Shows other sections; whoever is typing stays where they are, and rows without a heading stay. */
export function show(wanted) {
  const focused = document.activeElement?.closest?.(".outline-row");
  const at = focused && { id: focused.querySelector("[name=id]").value, name: document.activeElement.name, caret: document.activeElement.selectionStart };
  const unnamed = [...list().children].filter((its) => !its.querySelector("[name=heading]").value.trim());
  list().replaceChildren(...wanted.map(row), ...unnamed);
  const field = at && [...list().children].find((its) => its.querySelector("[name=id]").value === at.id)?.querySelector(`[name=${at.name}]`);
  if (field) {
    field.focus();
    field.setSelectionRange(at.caret, at.caret);
  }
}

/** The row that a person was in last; the last one of all if they were in none. */
let lastIn = null;
document.addEventListener("focusin", (event) => {
  lastIn = event.target.closest(".outline-row") ?? lastIn;
});

/** Takes what evidence says over: a heading or question as a section, a point into the note of one. */
function take(text, what, onto) {
  if (what === "link") {
    const links = document.querySelector("#text-LINKS");
    if (links && !links.value.includes(text)) links.value = links.value ? `${links.value}\n${text}` : text;
    links?.dispatchEvent(new Event("input", { bubbles: true }));
    return;
  }
  let its = onto ?? (lastIn?.isConnected ? lastIn : list().lastElementChild);
  if (what === "section" || !its) {
    const top = its && [...list().children].slice(0, [...list().children].indexOf(its) + 1).reverse().find((r) => depth(r) === 0);
    its = add({ heading: what === "section" ? text : "", depth: 0, note: what === "section" ? "" : text }, onto ? (top ?? its) : list().lastElementChild);
  } else {
    const note = its.querySelector("[name=note]");
    note.value = note.value ? `${note.value}; ${text}` : text;
  }
  lastIn = its;
  changed(list());
}

document.addEventListener("click", (event) => {
  const taken = event.target.closest("[data-take]")?.closest("[data-pull]");
  if (taken) take(taken.dataset.text, taken.dataset.pull);
  const button = event.target.closest(".outline-row [data-do]");
  if (button) act(button.closest(".outline-row"), button.dataset.do);
  if (event.target.closest("[data-outline-add]")) add().querySelector("[name=heading]").focus();
});

const KEYS = { ArrowUp: "up", ArrowDown: "down", ArrowLeft: "out", ArrowRight: "in" };

document.addEventListener("keydown", (event) => {
  const its = event.target.closest(".outline-row");
  if (!its) return;
  if (event.altKey && KEYS[event.key]) {
    event.preventDefault();
    act(its, KEYS[event.key]);
  } else if (event.key === "Enter" && event.target.matches("input")) {
    event.preventDefault();
    add({}, its).querySelector("[name=heading]").focus();
  }
});

// What evidence says is dragged into the outline.
document.addEventListener("dragstart", (event) => {
  const said = event.target.closest?.("[data-pull]");
  if (said) event.dataTransfer.setData("application/x-said", JSON.stringify({ text: said.dataset.text, what: said.dataset.pull }));
});
document.addEventListener("dragover", (event) => {
  if (event.dataTransfer.types.includes("application/x-said") && event.target.closest("[data-field=Outline]")) event.preventDefault();
});
document.addEventListener("drop", (event) => {
  const said = event.dataTransfer.getData("application/x-said");
  if (!said || !event.target.closest("[data-field=Outline]")) return;
  event.preventDefault();
  const { text, what } = JSON.parse(said);
  take(text, what, event.target.closest(".outline-row") ?? undefined);
});

function prepare() {
  if (list() && !list().dataset.ready && !list().closest("fieldset").disabled) {
    list().dataset.ready = "yes";
    new Sortable(list(), { handle: "[data-grip]", animation: 0, onEnd: () => changed(list()) });
  }
}
document.addEventListener("htmx:load", prepare);
prepare();
