// The find field: what is typed is looked up at once; arrows choose, Enter goes there or does it.
const dialog = () => document.querySelector("#find-dialog");
const field = () => document.querySelector("#find-field");
const options = () => [...document.querySelectorAll("#found .found")];

// What was found is for this text; Enter waits until it is for what stands in the field.
let answered = "";
let entered = false;

function show() {
  field().value = "";
  entered = false;
  dialog().showModal();
  htmx.trigger(field(), "looked");
}

function choose(by) {
  const all = options();
  if (!all.length) return;
  const at = all.findIndex((option) => option.getAttribute("aria-selected") === "true");
  const next = (at + by + all.length) % all.length;
  all.forEach((option, i) => option.setAttribute("aria-selected", i === next));
  all[next].scrollIntoView({ block: "nearest" });
  field().setAttribute("aria-activedescendant", all[next].id);
}

function go(option) {
  dialog().close();
  if (option.dataset.command) document.querySelector(option.dataset.command).showModal();
  else {
    const same = option.pathname === location.pathname && option.search === location.search && option.hash;
    location.assign(option.href);
    if (same) window.dispatchEvent(new Event("hashchange"));
  }
}

document.addEventListener("click", (event) => {
  if (event.target.closest("[data-find]")) show();
  const option = event.target.closest("#found .found");
  if (option && !event.ctrlKey && !event.metaKey) {
    event.preventDefault();
    go(option);
  }
});

document.addEventListener("keydown", (event) => {
  if (event.target.id !== "find-field") return;
  if (event.key === "ArrowDown" || event.key === "ArrowUp") {
    event.preventDefault();
    choose(event.key === "ArrowDown" ? 1 : -1);
  }
});

function goToChosen() {
  if (answered !== field().value) {
    entered = true;
    return;
  }
  entered = false;
  const chosen = options().find((option) => option.getAttribute("aria-selected") === "true");
  if (chosen) go(chosen);
}

document.addEventListener("htmx:afterSettle", (event) => {
  const asked = event.detail.requestConfig;
  if (asked?.elt?.id !== "find-field") return;
  answered = asked.parameters.q ?? "";
  if (entered) goToChosen();
});

document.addEventListener("input", (event) => {
  if (event.target.id === "find-field") entered = false;
});

document.addEventListener("submit", (event) => {
  if (!event.target.matches("[data-find-form]")) return;
  event.preventDefault();
  goToChosen();
});
