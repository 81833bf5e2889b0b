// A field for a day: what is typed is read by the server and shown in words; Arrow down, or the button, opens a month.
const MONTHS = ["January", "February", "March", "April", "May", "June", "July", "August", "September", "October", "November", "December"];
const WEEK = ["Mo", "Tu", "We", "Th", "Fr", "Sa", "Su"];
const STEPS = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 };
let shown = null;

const utc = (iso) => new Date(iso + "T00:00:00Z");
const iso = (date) => date.toISOString().slice(0, 10);

function plus(day, days) {
  const date = utc(day);
  date.setUTCDate(date.getUTCDate() + days);
  return iso(date);
}

/** The same day of another month, or its last one. */
function plusMonths(day, months) {
  const date = utc(day);
  const wanted = date.getUTCDate();
  date.setUTCDate(1);
  date.setUTCMonth(date.getUTCMonth() + months);
  const last = new Date(Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + 1, 0)).getUTCDate();
  date.setUTCDate(Math.min(wanted, last));
  return iso(date);
}

function element(name, attributes, text) {
  const it = document.createElement(name);
  Object.entries(attributes).forEach(([key, value]) => it.setAttribute(key, value));
  if (text) it.textContent = text;
  return it;
}

/** The month around a day, that day to be focused. */
function month(field, day) {
  const first = day.slice(0, 8) + "01";
  const box = element("div", { class: "month-box", role: "dialog", "aria-label": "Choose a day" });
  const head = element("div", { class: "month-head" });
  head.append(
    element("button", { type: "button", "data-turn": "-1", "aria-label": "Month before" }, "‹"),
    element("strong", { "aria-live": "polite" }, MONTHS[Number(day.slice(5, 7)) - 1] + " " + day.slice(0, 4)),
    element("button", { type: "button", "data-turn": "1", "aria-label": "Month after" }, "›"),
  );
  const grid = element("div", { class: "month-grid", role: "grid" });
  const names = element("div", { role: "row" });
  WEEK.forEach((name) => names.append(element("span", { role: "columnheader" }, name)));
  grid.append(names);
  let at = plus(first, -((utc(first).getUTCDay() + 6) % 7));
  do {
    const week = element("div", { role: "row" });
    for (let i = 0; i < 7; i++, at = plus(at, 1)) {
      const cell = element("button", { type: "button", role: "gridcell", tabindex: at === day ? 0 : -1, "data-iso": at }, String(Number(at.slice(8))));
      if (at.slice(0, 7) !== day.slice(0, 7)) cell.classList.add("outside");
      if (at === field.dataset.today) cell.setAttribute("aria-current", "date");
      if (at === field.querySelector("input").dataset.iso) cell.setAttribute("aria-selected", "true");
      week.append(cell);
    }
    grid.append(week);
  } while (at.slice(0, 7) === day.slice(0, 7));
  box.append(head, grid);
  return box;
}

function show(field, day, focus = true) {
  close();
  const box = month(field, day);
  field.append(box);
  shown = field;
  if (focus) box.querySelector("[tabindex='0']").focus();
}

function close() {
  shown?.querySelector(".month-box")?.remove();
  shown = null;
}

function choose(field, day) {
  const input = field.querySelector("input");
  close();
  input.value = day;
  input.focus();
  read(field);
  input.dispatchEvent(new Event("input", { bubbles: true }));
}

/** Has the server say which day it is, in words; a slow answer is none to what was typed since. */
async function read(field) {
  const input = field.querySelector("input");
  const typed = input.value;
  field.querySelector(".fault")?.remove();
  input.removeAttribute("aria-invalid");
  if (!typed.trim()) {
    delete input.dataset.iso;
    return;
  }
  const answer = await fetch(field.dataset.check + "?typed=" + encodeURIComponent(typed));
  const said = answer.ok ? await answer.json() : await answer.text();
  if (input.value !== typed) return;
  if (answer.ok) {
    input.value = said.words;
    input.dataset.iso = said.iso;
  } else if (answer.status === 422) {
    input.setAttribute("aria-invalid", "true");
    field.append(element("p", { class: "fault", role: "alert" }, said));
  }
}

document.addEventListener("change", (event) => {
  const field = event.target.matches("[data-day-field] input") && event.target.closest("[data-day-field]");
  if (field) read(field);
});

document.addEventListener("click", (event) => {
  const field = event.target.closest("[data-day-field]");
  if (shown && field !== shown) close();
  if (!field) return;
  const box = field.querySelector(".month-box");
  const day = event.target.closest("[role=gridcell]");
  const turn = event.target.closest("[data-turn]");
  if (day) choose(field, day.dataset.iso);
  else if (turn) show(field, plusMonths(box.querySelector("[tabindex='0']").dataset.iso, Number(turn.dataset.turn)), false);
  else if (event.target.closest("[data-day-open]")) box ? close() : show(field, field.querySelector("input").dataset.iso ?? field.dataset.today);
});

document.addEventListener(
  "keydown",
  (event) => {
    const field = event.target.closest?.("[data-day-field]");
    if (!field) return;
    const cell = event.target.closest("[role=gridcell]");
    let to = null;
    if (event.target.matches("input") && event.key === "ArrowDown") to = event.target.dataset.iso ?? field.dataset.today;
    else if (cell && STEPS[event.key]) to = plus(cell.dataset.iso, STEPS[event.key]);
    else if (cell && ["PageUp", "PageDown"].includes(event.key)) to = plusMonths(cell.dataset.iso, event.key === "PageUp" ? -1 : 1);
    else if (event.key === "Escape" && field === shown) {
      close();
      field.querySelector("input").focus();
    } else if (!(cell && ["Enter", " "].includes(event.key))) return;
    event.stopPropagation();
    if (to) {
      event.preventDefault();
      show(field, to);
    } else if (cell) {
      event.preventDefault();
      choose(field, cell.dataset.iso);
    }
  },
  true,
);
