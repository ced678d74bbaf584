// What never leaves the page: which face is shown, keys, and the word that the connection is gone.
(() => {
  'use strict';

  document.addEventListener('alpine:init', () => {
    window.Alpine.data('bench', () => ({
      face: 'stitched',
      init() { this.face = this.$el.dataset.startFace || 'stitched'; },
      stitched() { this.face = 'stitched'; },
      marks() { this.face = 'marks'; },
    }));
  });

  // Nudges of the keys are gathered for a moment and sent as one.
  const gathered = { dx: 0, dy: 0, timer: 0 };
  const moves = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

  function nudge(dx, dy) {
    gathered.dx += dx;
    gathered.dy += dy;
    clearTimeout(gathered.timer);
    gathered.timer = setTimeout(() => {
      const form = document.getElementById('nudge');
      const values = Object.fromEntries(new FormData(form));
      values.dx = gathered.dx;
      values.dy = gathered.dy;
      gathered.dx = gathered.dy = 0;
      window.htmx.ajax('POST', form.getAttribute('hx-post'), { target: '#bench', swap: 'outerHTML', values });
    }, 250);
  }

  const clicks = { '+': 'larger', '=': 'larger', '-': 'smaller', z: 'undo' };
  const faces = { s: '.to-stitched', m: '.to-marks' };

  document.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey) { return; }
    const at = event.target;
    if (at.closest('input, textarea, select')) { return; }
    if (moves[event.key] && at.closest('#drawing')) {
      const by = event.shiftKey ? 5 : 1;
      nudge(moves[event.key][0] * by, moves[event.key][1] * by);
      event.preventDefault();
    } else if (clicks[event.key]) {
      document.getElementById(clicks[event.key])?.click();
    } else if (faces[event.key]) {
      document.querySelector(faces[event.key])?.click();
    } else if (event.key === 'n') {
      window.location.href = '/new';
    }
  });

  // A face once chosen goes along with every change.
  document.addEventListener('htmx:configRequest', (event) => {
    const frame = document.querySelector('.bench-frame');
    if (frame) { event.detail.parameters.face = frame.dataset.face; }
  });

  const offline = (gone) => { const told = document.getElementById('offline'); if (told) { told.hidden = !gone; } };
  document.addEventListener('htmx:sendError', () => offline(true));
  document.addEventListener('htmx:afterOnLoad', () => offline(false));
})();
