// Slips move to another day by drag, or by Shift and an arrow; plain arrows go from slip to slip.
import { open } from "./drawer.js";

const LISTS = ".slips[data-day]";

function move(slip, day) {
  const form = document.querySelector("#move");
  form.number.value = slip.dataset.number;
  form.from.value = slip.dataset.from;
  form.date.value = day;
  form.requestSubmit();
}

function dayAfter(day, days) {
  const date = new Date(day + "T00:00:00Z");
  date.setUTCDate(date.getUTCDate() + days);
  return date.toISOString().slice(0, 10);
}

/** Marks the days on which a slip can't be published, which its page says. */
function hatch(earliest) {
  document.querySelectorAll("[data-calendar] .slips[data-day]").forEach((list) => {
    list.closest(".day")?.classList.toggle("day-impossible", Boolean(earliest) && list.dataset.day < earliest);
  });
}

let over = null;

function forget() {
  over = null;
  document.querySelector("#move-now")?.replaceChildren();
}

/** Shows what follows if a slip that is dragged came to lie on a day. */
function ask(slip, day) {
  over = day;
  setTimeout(async () => {
    if (over !== day) return;
    await htmx.ajax("GET", `${slip.dataset.if}?date=${day}`, { target: "#move-now", swap: "outerHTML" });
    if (over === null) forget();
  }, 120);
}

function prepare(root) {
  const calendar = document.querySelector("[data-calendar]");
  if (!calendar || !(root === document || root.contains(calendar))) return;
  document.querySelectorAll(LISTS).forEach((list) => {
    new Sortable(list, {
      group: "slips",
      draggable: ".slip[data-movable='true']",
      sort: false,
      animation: 0,
      onStart: ({ item }) => hatch(item.dataset.earliest),
      onChange: ({ item, to }) => {
        const right = to.getBoundingClientRect().left > window.innerWidth / 2;
        document.querySelector(".calendar-move")?.classList.toggle("calendar-move-left", right);
        ask(item, to.dataset.day);
      },
      onEnd: ({ item, from, to }) => {
        hatch(null);
        forget();
        if (from !== to) move(item, to.dataset.day);
      },
    });
  });
  const moved = calendar.dataset.focus;
  if (moved) document.querySelector(`.slip[data-number="${CSS.escape(moved)}"] a`)?.focus();
}

/** Of today or the first day after it; else the first of the month. */
function firstSlip() {
  const slips = [...document.querySelectorAll("[data-calendar] .slip a, [data-undated] .slip a")];
  const today = document.querySelector(".day-today .slips")?.dataset.day;
  return slips.find((a) => today && a.closest(".slips[data-day]").dataset.day >= today) ?? slips[0];
}

const STEPS = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 };

document.addEventListener("keydown", (event) => {
  const days = STEPS[event.key];
  if (days && !event.shiftKey && event.target === document.body && document.querySelector("[data-calendar]")) {
    event.preventDefault();
    firstSlip()?.focus();
    return;
  }
  const slip = event.target.closest(".slip");
  if (!slip || !document.querySelector("[data-calendar]")) return;
  if (event.key === "Delete" && slip.dataset.movable === "true") {
    event.preventDefault();
    move(slip, "");
  } else if (days && event.shiftKey && slip.dataset.movable === "true") {
    event.preventDefault();
    const today = document.querySelector(".day-today .slips")?.dataset.day;
    const first = document.querySelector(".day:not(.day-outside) .slips").dataset.day;
    move(slip, slip.dataset.from ? dayAfter(slip.dataset.from, days) : (today ?? first));
  } else if (event.key === "Enter" && !event.shiftKey && slip.dataset.drawer) {
    event.preventDefault();
    open(slip.dataset.drawer);
  } else if (days && !event.shiftKey) {
    event.preventDefault();
    const slips = [...document.querySelectorAll(".slip a")].filter((a) => a.offsetParent);
    const at = slips.indexOf(slip.querySelector("a"));
    slips[at + Math.sign(days)]?.focus();
  }
});

document.addEventListener("htmx:afterSwap", (event) => prepare(event.detail.elt));
prepare(document);
