// Small menus of a list: one is open at a time, Esc and a click elsewhere close it; and columns that
// change places.
document.addEventListener("click", (event) => {
  document.querySelectorAll("[data-menu][open]").forEach((menu) => {
    if (!menu.contains(event.target)) menu.open = false;
  });
  const move = event.target.closest?.("[data-column-up], [data-column-down]");
  if (!move) return;
  const item = move.closest("li");
  const up = move.matches("[data-column-up]");
  const other = up ? item.previousElementSibling : item.nextElementSibling;
  if (!other) return;
  if (up) other.before(item);
  else other.after(item);
  move.focus();
});

document.addEventListener("keydown", (event) => {
  if (event.key !== "Escape") return;
  const menu = event.target.closest?.("[data-menu][open]");
  if (!menu) return;
  event.preventDefault();
  menu.open = false;
  menu.querySelector("summary").focus();
});
