// Rows of a list: arrows go from row to row, Enter opens, Space marks; marked rows are changed together.
import { carrier, isTyping, press } from "./keys.js";
import { open } from "./drawer.js";

function rows() {
  return [...document.querySelectorAll("main [data-row]")].filter((row) => row.offsetParent);
}

function focus(row) {
  rows().forEach((other) => (other.tabIndex = -1));
  row.tabIndex = 0;
  row.focus();
  row.scrollIntoView({ block: "nearest" });
}

function step(by) {
  const all = rows();
  const at = all.indexOf(document.activeElement?.closest("[data-row]"));
  const next = all[at < 0 ? (by > 0 ? 0 : all.length - 1) : at + by];
  if (next) focus(next);
  return Boolean(next);
}

const INSIDE = "a, button, input, select, textarea, summary";

document.addEventListener("keydown", async (event) => {
  if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return;
  if (isTyping(event.target) || document.querySelector("dialog[open], .dropdown-menu.show")) return;
  const row = event.target.closest?.("[data-row]");
  const onRow = row && !event.target.closest(INSIDE);
  if ((event.key === "ArrowDown" || event.key === "ArrowUp") && !event.target.closest(".slip, #drawer")) {
    if (step(event.key === "ArrowDown" ? 1 : -1)) event.preventDefault();
  } else if (event.key === "Enter" && onRow) {
    event.preventDefault();
    // What has no drawer is opened whole by either.
    if (row.dataset.href && (event.shiftKey || !row.dataset.drawer)) location.assign(row.dataset.href);
    else if (row.dataset.drawer) await open(row.dataset.drawer);
  } else if (event.key === "Enter" && event.shiftKey && document.querySelector("#drawer:not([hidden]) [data-open-whole]")) {
    event.preventDefault();
    document.querySelector("#drawer [data-open-whole]").click();
  } else if (event.key === " " && onRow) {
    const box = row.querySelector("input[name=marked]");
    if (!box) return;
    event.preventDefault();
    box.click();
  } else if (["<", ">", "d", "p"].includes(event.key) && row?.dataset.drawer && document.body.dataset.singleKeys !== "false" && !carrier(event.key)) {
    event.preventDefault();
    await open(row.dataset.drawer);
    press(document.querySelector(`#drawer [data-key="${CSS.escape(event.key)}"]`));
  }
});

document.addEventListener("focusin", (event) => {
  if (event.target.matches?.("[data-row]")) rows().forEach((row) => (row.tabIndex = row === event.target ? 0 : -1));
});

// After the list was swapped, the row that had the focus has it again.
let kept = null;
document.addEventListener("htmx:beforeSwap", () => {
  kept = document.activeElement?.closest?.("main [data-row]")?.dataset.drawer ?? null;
});
document.addEventListener("htmx:afterSettle", () => {
  if (kept) document.querySelector(`main [data-row][data-drawer="${CSS.escape(kept)}"]`)?.focus();
  kept = null;
  count();
});

// Marked rows.
function count() {
  const bar = document.querySelector("[data-bulk]");
  if (!bar) return;
  const marked = document.querySelectorAll("input[name=marked]:checked").length;
  bar.hidden = marked === 0;
  const every = bar.querySelector("[data-mark-every]");
  const field = bar.querySelector("[data-every-field]");
  const all = marked > 0 && marked === document.querySelectorAll("input[name=marked]").length;
  if (field && !all) field.disabled = true;
  const counted = field && !field.disabled ? every.dataset.every : marked;
  if (every) every.hidden = !all || !field.disabled;
  bar.querySelector("[data-marked-count]").textContent = `${counted} marked`;
}

function choose(bar) {
  const what = bar.querySelector("[data-bulk-what]").value;
  bar.querySelectorAll("[data-bulk-for]").forEach((field) => {
    const on = field.dataset.bulkFor.split(" ").includes(what);
    field.hidden = !on;
    field.disabled = !on;
  });
}

let last = null;
document.addEventListener("click", (event) => {
  const box = event.target.closest?.("input[name=marked]");
  if (box) {
    const boxes = [...document.querySelectorAll("input[name=marked]")];
    if (event.shiftKey && last?.isConnected) {
      const [from, to] = [boxes.indexOf(last), boxes.indexOf(box)].sort((a, b) => a - b);
      boxes.slice(from, to + 1).forEach((one) => (one.checked = box.checked));
    }
    last = box;
    count();
  }
  // All that match the filter, those of other pages too.
  if (event.target.closest?.("[data-mark-every]")) {
    document.querySelector("[data-every-field]").disabled = false;
    count();
  }
  if (event.target.closest?.("[data-unmark]")) {
    document.querySelectorAll("input[name=marked], [data-mark-all]").forEach((one) => (one.checked = false));
    count();
  }
});
document.addEventListener("change", (event) => {
  if (event.target.matches("[data-mark-all]")) {
    document.querySelectorAll("input[name=marked]").forEach((box) => (box.checked = event.target.checked));
    count();
  }
  if (event.target.matches("[data-bulk-what]")) choose(event.target.form);
});
count();
