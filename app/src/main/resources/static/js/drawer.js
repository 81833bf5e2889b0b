// The drawer shows what was picked; the address keeps it behind a #, so that a reload opens it again.
const MARK = "#open=";

function drawer() {
  return document.querySelector("#drawer");
}

/** Opens the drawer with the part of a page at an address. */
export async function open(from) {
  const part = drawer();
  if (!part) return;
  const answer = await fetch(from, { headers: { "HX-Request": "true" } });
  if (answer.status === 401) return location.assign("/sign-in");
  if (!answer.ok) return close();
  part.innerHTML = await answer.text();
  part.hidden = false;
  part.dataset.from = from;
  part.scrollTop = 0;
  document.body.classList.add("drawer-open");
  htmx.process(part);
  const base = document.body.dataset.base;
  history.replaceState(history.state, "", location.pathname + location.search + MARK + from.replace(base, ""));
  document.querySelectorAll(".row-open").forEach((row) => row.classList.remove("row-open"));
  document.querySelector(`[data-drawer="${CSS.escape(from)}"]`)?.classList.add("row-open");
}

/** Closes it; whoever was in it goes back to the row it came from. */
export function close() {
  const part = drawer();
  if (!part || part.hidden) return;
  const inside = part.contains(document.activeElement);
  part.hidden = true;
  part.replaceChildren();
  document.body.classList.remove("drawer-open");
  history.replaceState(history.state, "", location.pathname + location.search);
  const row = document.querySelector(".row-open");
  row?.classList.remove("row-open");
  if (inside) (row?.matches("[tabindex]") ? row : row?.querySelector("a"))?.focus();
}

export function isOpen() {
  return drawer() && !drawer().hidden;
}

document.addEventListener("click", (event) => {
  if (event.target.closest("[data-drawer-close]")) close();
  const row = event.target.closest("[data-row][data-drawer]");
  if (row && !event.target.closest("a, button, input, select, label, form, summary")) open(row.dataset.drawer);
});

document.addEventListener("keydown", (event) => {
  if (event.key !== "Escape" || event.defaultPrevented || document.querySelector("dialog[open]")) return;
  close();
});

// After a change made in the drawer, the drawer shows what stands now; what has left the list closes it.
let leaves = false;
document.addEventListener("htmx:configRequest", (event) => {
  leaves = event.detail.elt.closest("[data-drawer-leaves]") !== null;
});
document.addEventListener("htmx:afterSwap", (event) => {
  if (event.detail.elt.id !== "main" || !isOpen()) return;
  if (leaves) close();
  else open(drawer().dataset.from);
});

function fromAddress() {
  if (location.hash.startsWith(MARK)) open(document.body.dataset.base + location.hash.slice(MARK.length));
}
window.addEventListener("hashchange", fromAddress);
fromAddress();
