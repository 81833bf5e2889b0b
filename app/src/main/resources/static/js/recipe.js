// The rows of a recipe: add, remove, reorder by drag or Alt and up or down. The drawing follows.
function changed(form) {
  form.dispatchEvent(new CustomEvent("recipe-changed"));
}

/** Numbers the rows; a number typed under After stays with the step it means. */
function renumber(list) {
  const rows = [...list.children];
  const now = new Map(rows.map((row, i) => [row.querySelector(".recipe-number").textContent.trim(), String(i + 1)]));
  for (const row of rows) {
    const when = row.querySelector("[name=when]");
    if (row.querySelector(".recipe-number").textContent.trim()) {
      when.value = when.value.replace(/(^|[,;]\s*)(\d+)(?=\s*(?:[,;]|$))/g, (all, gap, number) => gap + (now.get(number) ?? number));
    }
  }
  rows.forEach((row, i) => (row.querySelector(".recipe-number").textContent = i + 1));
}

function settle(list) {
  renumber(list);
  list.dispatchEvent(new Event("input", { bubbles: true }));
}

function add(list) {
  const row = document.querySelector("[data-recipe-new]").content.querySelector("tr").cloneNode(true);
  const last = list.lastElementChild;
  if (last) row.querySelector("[name=when]").value = String(list.children.length);
  list.append(row);
  renumber(list);
  row.querySelector("[name=name]").focus();
}

function remove(row) {
  const list = row.parentElement;
  const next = row.nextElementSibling ?? row.previousElementSibling;
  row.remove();
  settle(list);
  next?.querySelector("[name=name]").focus();
}

function move(row, down) {
  const other = down ? row.nextElementSibling : row.previousElementSibling;
  if (!other) return;
  const focused = document.activeElement;
  if (down) other.after(row);
  else other.before(row);
  focused.focus();
  settle(row.parentElement);
}

document.addEventListener("click", (event) => {
  const gone = event.target.closest("[data-recipe-remove]");
  if (gone) remove(gone.closest("tr"));
  if (event.target.closest("[data-recipe-add]")) add(document.querySelector("[data-recipe]"));
});

document.addEventListener("keydown", (event) => {
  const row = event.target.closest(".recipe-row");
  if (!row) return;
  if (event.altKey && (event.key === "ArrowUp" || event.key === "ArrowDown")) {
    event.preventDefault();
    move(row, event.key === "ArrowDown");
  } else if (event.key === "Enter" && event.target.matches("input")) {
    event.preventDefault();
    if (row.nextElementSibling) row.nextElementSibling.querySelector("[name=name]").focus();
    else add(row.parentElement);
  }
});

document.addEventListener("input", (event) => {
  if (event.target.closest("[data-recipe]")) changed(event.target.closest("form"));
});

function prepare() {
  const list = document.querySelector("[data-recipe]");
  if (list && !list.dataset.ready) {
    list.dataset.ready = "yes";
    new Sortable(list, { handle: "[data-grip]", animation: 0, onEnd: () => settle(list) });
  }
}
document.addEventListener("htmx:afterSwap", prepare);
prepare();
