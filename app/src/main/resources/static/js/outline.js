// The rows of an outline: add, remove, reorder by drag or Alt and up or down, nest by Alt and left or right.
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

/** No row hangs more than one level below the one before it. */
function straighten(list) {
  let allowed = 0;
  for (const row of list.children) {
    if (depth(row) > allowed) setDepth(row, allowed);
    allowed = Math.min(deepest(row), depth(row) + 1);
  }
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

function act(row, what) {
  const list = row.parentElement;
  const focused = document.activeElement;
  DO[what](row);
  straighten(list);
  if (row.isConnected) focused.focus();
  list.dispatchEvent(new Event("input", { bubbles: true }));
}

function add(list) {
  const row = document.querySelector("[data-outline-row]").content.firstElementChild.cloneNode(true);
  if (list.lastElementChild) setDepth(row, depth(list.lastElementChild));
  list.append(row);
  row.querySelector("[name=heading]").focus();
}

/** The row that a person was in last; the last one of all if they were in none. */
let lastIn = null;
document.addEventListener("focusin", (event) => {
  lastIn = event.target.closest(".outline-row") ?? lastIn;
});

/** Takes what evidence says over: a heading or question as a section, a point into the notes of one. */
function take(text, what) {
  const list = document.querySelector("[data-outline]");
  let row = lastIn?.isConnected ? lastIn : list.lastElementChild;
  if (what === "section" || !row) {
    add(list);
    row = list.lastElementChild;
    setDepth(row, 0);
  }
  const field = row.querySelector(what === "section" ? "[name=heading]" : "[name=note]");
  field.value = what === "section" || !field.value ? text : `${field.value}; ${text}`;
  list.dispatchEvent(new Event("input", { bubbles: true }));
  field.focus();
}

document.addEventListener("click", (event) => {
  const taken = event.target.closest("[data-pull]");
  if (taken) {
    take(taken.dataset.text, taken.dataset.pull);
    taken.classList.add("taken");
  }
  const button = event.target.closest(".outline-row [data-do]");
  if (button) act(button.closest(".outline-row"), button.dataset.do);
  if (event.target.closest("[data-outline-add]")) add(document.querySelector("[data-outline]"));
});

const KEYS = { ArrowUp: "up", ArrowDown: "down", ArrowLeft: "out", ArrowRight: "in" };

document.addEventListener("keydown", (event) => {
  const row = event.target.closest(".outline-row");
  if (!row) return;
  if (event.altKey && KEYS[event.key]) {
    event.preventDefault();
    act(row, KEYS[event.key]);
  } else if (event.key === "Enter" && event.target.name === "heading") {
    event.preventDefault();
    add(row.parentElement);
  }
});

function prepare() {
  const list = document.querySelector("[data-outline]");
  if (list && !list.dataset.ready && !list.closest("fieldset").disabled) {
    list.dataset.ready = "yes";
    new Sortable(list, { handle: "[data-grip]", animation: 0, onEnd: () => straighten(list) });
  }
}
document.addEventListener("htmx:afterSwap", (event) => {
  prepare();
  // What was proposed is not saved yet.
  if (event.detail.target.id === "outline") document.querySelector("[data-outline]").dispatchEvent(new Event("input", { bubbles: true }));
});
prepare();
