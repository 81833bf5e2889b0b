// Single keys click or focus the element that carries them in data-key; never while somebody types.
const TYPING = "input, textarea, select, [contenteditable]";

document.addEventListener("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
  if (event.target.closest(TYPING) || document.querySelector("dialog[open]")) return;
  const target = document.querySelector(`[data-key="${CSS.escape(event.key)}"]`);
  if (!target || target.disabled) return;
  event.preventDefault();
  if (target.matches(TYPING)) target.focus();
  else target.click();
});

// Ctrl S saves what is written.
document.addEventListener("keydown", (event) => {
  if (event.key !== "s" || !(event.ctrlKey || event.metaKey)) return;
  const save = document.querySelector("[data-save]");
  if (!save) return;
  event.preventDefault();
  save.click();
});
