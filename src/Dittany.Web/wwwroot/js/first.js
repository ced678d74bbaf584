// Before anything is drawn: pages that can be scripted say so, and show less at once.
document.documentElement.classList.add('scripted');

// On a phone the drawing's figures are drawn larger: the page asks for it by a cookie that says no more than that.
document.cookie = `narrow=${window.innerWidth <= 520 ? 1 : 0}; path=/; samesite=strict`;
