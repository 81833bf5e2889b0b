// Marks of a picture: arrows go to the nearest one in their direction, Enter opens, Space picks, and
// a line drawn around marks picks them. Esc leads from a topic back to all.
import { open } from "./drawer.js";

const ARROWS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

function middle(mark) {
  const circle = mark.querySelector("circle");
  return [circle.cx.baseVal.value, circle.cy.baseVal.value];
}

/** The nearest mark that way; what lies aside counts double. */
function towards(mark, [right, down]) {
  const [x, y] = middle(mark);
  let best = null;
  let least = Infinity;
  for (const other of mark.closest("svg").querySelectorAll("[data-mark]")) {
    const [ox, oy] = middle(other);
    const along = (ox - x) * right + (oy - y) * down;
    const aside = Math.abs((ox - x) * down) + Math.abs((oy - y) * right);
    if (other !== mark && along > 0 && along + 2 * aside < least) {
      best = other;
      least = along + 2 * aside;
    }
  }
  return best;
}

function focus(mark) {
  mark.closest("svg").querySelectorAll("[data-mark]").forEach((other) => other.setAttribute("tabindex", "-1"));
  mark.setAttribute("tabindex", "0");
  mark.focus();
}

// A mark of a group leaves its drawer's address out, since it follows from its own.
function drawerOf(mark) {
  return mark.dataset.drawer ?? (mark.dataset.group ? mark.getAttribute("href") + "/drawer" : null);
}

function box(mark) {
  return document.querySelector(`input[name=marked][value="${CSS.escape(mark.dataset.group)}"]`);
}

function show() {
  document.querySelectorAll("[data-mark][data-group]").forEach((mark) => mark.classList.toggle("picked", Boolean(box(mark)?.checked)));
}

document.addEventListener("keydown", (event) => {
  const mark = event.target.closest?.("[data-mark]");
  const single = !event.ctrlKey && !event.metaKey && !event.altKey;
  if (mark && single && ARROWS[event.key]) {
    event.preventDefault();
    const next = towards(mark, ARROWS[event.key]);
    if (next) focus(next);
  } else if (mark && single && event.key === " " && mark.dataset.group) {
    event.preventDefault();
    box(mark)?.click();
  } else if (mark && event.key === "Enter" && !event.shiftKey && drawerOf(mark)) {
    event.preventDefault();
    open(drawerOf(mark));
  } else if (event.key === "Escape" && single && document.querySelector("#drawer[hidden]") && !document.querySelector("dialog[open]")) {
    const up = document.querySelector("[data-mark-up]");
    if (up && !event.target.closest("input, select, textarea")) up.click();
  }
}, true);

// What is picked is what is marked in the table; both show it.
document.addEventListener("click", (event) => {
  if (event.target.closest?.("input[name=marked], [data-unmark]")) show();
});
document.addEventListener("change", (event) => {
  if (event.target.matches("[data-mark-all]")) show();
});

let line = null;

function at(svg, event) {
  const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
  return [point.x, point.y];
}

/** Whether a point lies inside of a line that is closed, by counting crossings to its right. */
function inside([x, y], points) {
  let odd = false;
  points.forEach(([ax, ay], i) => {
    const [bx, by] = points[(i + 1) % points.length];
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) odd = !odd;
  });
  return odd;
}

document.addEventListener("pointerdown", (event) => {
  const svg = event.target.closest?.("[data-lasso]");
  if (!svg || event.button !== 0 || event.target.closest("[data-mark]")) return;
  line = { svg, points: [at(svg, event)] };
  svg.setPointerCapture(event.pointerId);
});

document.addEventListener("pointermove", (event) => {
  if (!line) return;
  line.points.push(at(line.svg, event));
  const path = line.svg.querySelector("[data-lasso-line]");
  path.removeAttribute("hidden");
  path.setAttribute("d", "M" + line.points.map((p) => p.map((n) => n.toFixed(1)).join(" ")).join("L") + "Z");
});

document.addEventListener("pointerup", () => {
  if (!line) return;
  const { svg, points } = line;
  line = null;
  svg.querySelector("[data-lasso-line]").setAttribute("hidden", "");
  if (points.length < 3) return;
  svg.querySelectorAll("[data-mark][data-group]").forEach((mark) => {
    const its = box(mark);
    if (its && inside(middle(mark), points) && !its.checked) its.click();
  });
});
