// Before anything is drawn: pages that can be scripted say so, and show less at once.
document.documentElement.classList.add('scripted');
