// Keywords and groups are carried by drag: all marked rows when the one that is dragged is marked,
// else that one. Marking and the bar above the list do the same by keys.
import { open } from "./drawer.js";

let carried = null;

function target(event) {
  const place = carried && event.target.closest?.("[data-take]");
  return place && place.dataset.take === carried.what && !carried.rows.includes(place) ? place : null;
}

function unmark() {
  document.querySelectorAll(".takes").forEach((place) => place.classList.remove("takes"));
}

document.addEventListener("dragstart", (event) => {
  const row = event.target.closest?.("[data-carry]");
  if (!row) return;
  const marked = [...document.querySelectorAll("[data-carry]")].filter((other) => other.querySelector("input[name=marked]:checked"));
  const rows = marked.includes(row) ? marked : [row];
  carried = { what: row.dataset.carry, rows };
  event.dataTransfer.effectAllowed = "move";
  event.dataTransfer.setData("text/plain", rows.length + " " + row.dataset.carry);
});

document.addEventListener("dragover", (event) => {
  const place = target(event);
  unmark();
  if (!place) return;
  event.preventDefault();
  place.classList.add("takes");
});

document.addEventListener("drop", (event) => {
  const place = target(event);
  unmark();
  if (!place) return;
  event.preventDefault();
  const marked = carried.rows.map((row) => row.querySelector("input[name=marked]").value);
  htmx.ajax("POST", place.dataset.action, { values: { marked, back: location.pathname + location.search }, source: place, target: "#main", select: "#main", swap: "outerHTML" });
});

document.addEventListener("dragend", () => {
  carried = null;
  unmark();
});

// What a drawer says of the rows that are marked.
document.addEventListener("click", (event) => {
  const button = event.target.closest?.("[data-drawer-marked]");
  if (!button) return;
  const marked = [...document.querySelectorAll("input[name=marked]:checked")].slice(0, 2);
  if (marked.length === 2) open(button.dataset.from + "?" + marked.map((box) => "marked=" + box.value).join("&"));
});
