// What happened stands at the foot for ten seconds.
const STAYS = 10000;
let timer;

function fade() {
  clearTimeout(timer);
  const foot = document.querySelector("#foot");
  if (foot && foot.textContent) timer = setTimeout(() => foot.replaceChildren(), STAYS);
}

document.addEventListener("DOMContentLoaded", fade);
document.addEventListener("htmx:afterSettle", fade);
document.addEventListener("htmx:oobAfterSwap", fade);
fade();
