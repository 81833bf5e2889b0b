// Dialogs open and close; the pitch dialog closes once the pitch is kept.
document.addEventListener("click", (event) => {
  const opener = event.target.closest("[data-open]");
  if (opener) document.querySelector(opener.dataset.open).showModal();
  const closer = event.target.closest("[data-close]");
  if (closer) closer.closest("dialog").close();
});

document.addEventListener("htmx:afterSwap", (event) => {
  const form = document.querySelector("[data-pitch]");
  const answer = document.querySelector("#pitch-answer");
  if (event.detail.target !== answer || !answer.querySelector("[data-pitched]")) return;
  answer.replaceChildren();
  document.querySelector("#pitch-near").replaceChildren();
  form.reset();
  form.closest("dialog").close();
});
