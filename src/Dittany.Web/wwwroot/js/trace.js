// Tracing: points of an outline, a zone or an obstacle pulled into place on the drawing; and corners pointed at in a photograph.
(() => {
  'use strict';

  const SVG = 'http://www.w3.org/2000/svg';
  const form = () => document.querySelector('form[data-trace]');
  const drawing = () => document.querySelector('#trace-frame svg');
  const active = () => form()?.querySelector('.ring-edit input[name="active"]:checked')?.closest('.ring-edit');
  const field = () => active()?.querySelector('textarea');
  const round = (n) => Math.round(n * 10) / 10;

  function read() {
    const lines = (field()?.value ?? '').split('\n').map((l) => l.trim().split(/[\s,;]+/).map(Number)).filter((l) => l.length > 1 && l.every(Number.isFinite));
    if (lines.length === 1 && lines[0].length === 4) {
      const [x, y, w, h] = lines[0];
      return [[x, y], [x + w, y], [x + w, y + h], [x, y + h]];
    }
    return lines.map(([x, y]) => [x, y]);
  }

  function write(points) {
    const text = field();
    if (!text) { return; }
    text.value = points.map(([x, y]) => `${round(x)}, ${round(y)}`).join('\n');
    text.dispatchEvent(new CustomEvent('traced', { bubbles: true }));
  }

  /** The handles of the ring that is drawn by now; each can be dragged, and moved by arrow keys. */
  function show(focus) {
    const svg = drawing();
    svg?.querySelector('.handles')?.remove();
    if (!svg || !active()) { return; }
    const points = read();
    const px = svg.viewBox.baseVal.width / svg.getBoundingClientRect().width;
    const group = document.createElementNS(SVG, 'g');
    group.setAttribute('class', 'handles');
    const line = document.createElementNS(SVG, 'polygon');
    line.setAttribute('points', points.map((p) => p.join(',')).join(' '));
    line.setAttribute('class', 'tracing');
    line.setAttribute('stroke-width', 2 * px);
    group.append(line);
    points.forEach(([x, y], i) => {
      const dot = document.createElementNS(SVG, 'circle');
      Object.entries({ cx: x, cy: y, r: 7 * px, 'stroke-width': 2 * px, tabindex: 0, role: 'button', 'data-i': i, class: 'handle', 'aria-label': `Point ${i + 1} of ${points.length}: ${round(x)} right, ${round(y)} down, in mm. Arrow keys move it.` })
        .forEach(([name, value]) => dot.setAttribute(name, value));
      group.append(dot);
    });
    svg.append(group);
    if (focus !== undefined) { group.querySelectorAll('.handle')[Math.min(focus, points.length - 1)]?.focus(); }
  }

  const at = (event) => {
    const svg = drawing();
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
    return [p.x, p.y];
  };

  let held = null;
  document.addEventListener('pointerdown', (event) => {
    const dot = event.target.closest?.('.handle');
    if (!dot) { return; }
    held = { i: Number(dot.dataset.i), points: read() };
    dot.setPointerCapture?.(event.pointerId);
    event.preventDefault();
    dot.focus();
  });
  document.addEventListener('pointermove', (event) => {
    if (!held) { return; }
    held.points[held.i] = at(event);
    const group = drawing()?.querySelector('.handles');
    group?.querySelector('.tracing').setAttribute('points', held.points.map((p) => p.join(',')).join(' '));
    const dot = group?.querySelectorAll('.handle')[held.i];
    dot?.setAttribute('cx', held.points[held.i][0]);
    dot?.setAttribute('cy', held.points[held.i][1]);
  });
  document.addEventListener('pointerup', () => {
    if (!held) { return; }
    const { i, points } = held;
    held = null;
    write(points);
    show(i);
  });

  // A click beside the points sets one more, on the side it is nearest to.
  document.addEventListener('click', (event) => {
    if (!drawing() || !event.target.closest?.('#trace-frame svg') || event.target.closest('.handle') || !active()) { return; }
    const p = at(event);
    const points = read();
    let best = points.length;
    let least = Infinity;
    points.forEach((a, i) => {
      const b = points[(i + 1) % points.length];
      const d = [b[0] - a[0], b[1] - a[1]];
      const length = d[0] * d[0] + d[1] * d[1];
      const t = length === 0 ? 0 : Math.max(0, Math.min(1, ((p[0] - a[0]) * d[0] + (p[1] - a[1]) * d[1]) / length));
      const off = Math.hypot(p[0] - a[0] - t * d[0], p[1] - a[1] - t * d[1]);
      if (off < least) { least = off; best = i + 1; }
    });
    points.splice(best, 0, p);
    write(points);
    show(best);
  });

  document.addEventListener('keydown', (event) => {
    const dot = event.target.closest?.('.handle');
    if (!dot) { return; }
    const i = Number(dot.dataset.i);
    const step = event.shiftKey ? 5 : 1;
    const way = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[event.key];
    const points = read();
    if (way) {
      event.preventDefault();
      points[i] = [points[i][0] + way[0], points[i][1] + way[1]];
    } else if ((event.key === 'Delete' || event.key === 'Backspace') && points.length > 3) {
      event.preventDefault();
      points.splice(i, 1);
    } else {
      return;
    }
    write(points);
    show(i);
  });

  document.addEventListener('change', (event) => { if (event.target.matches?.('input[name="active"]')) { show(); } });
  let focused;
  const anywhere = () => document.activeElement !== null && document.activeElement !== document.body;
  /** The point that had the focus has it again, unless she went somewhere else while the drawing was replaced. */
  function again() {
    const point = anywhere() ? undefined : focused;
    show(point === undefined ? document.activeElement?.closest?.('.handle')?.dataset.i : Number(point));
  }
  document.addEventListener('htmx:beforeSwap', () => { focused = document.activeElement?.closest?.('.handle')?.dataset.i; });
  document.addEventListener('htmx:afterSwap', again);
  document.addEventListener('htmx:afterSettle', () => { if (focused !== undefined) { again(); focused = undefined; } });
  document.addEventListener('DOMContentLoaded', () => { if (form()) { show(); } });

  // The photograph: each click fills the next corner; a fifth moves the nearest.
  const corners = () => document.getElementById('corners');
  function pins() {
    const all = corners();
    const k = 1 / Number(all.dataset.scale);
    const [xs, ys] = ['X', 'Y'].map((n) => [...all.querySelectorAll(`input[name="${n}"]`)]);
    const svg = all.querySelector('.pins');
    svg.replaceChildren();
    xs.forEach((x, i) => {
      if (x.value.trim() === '' || ys[i].value.trim() === '') { return; }
      const g = document.createElementNS(SVG, 'g');
      g.setAttribute('transform', `translate(${Number(x.value) * k} ${Number(ys[i].value) * k})`);
      [['circle', { r: 9, fill: 'none', stroke: '#fffdf7', 'stroke-width': 4 }], ['circle', { r: 9, fill: 'none', stroke: '#b0408a', 'stroke-width': 2 }], ['path', { d: 'M-14 0H-3M3 0H14M0 -14V-3M0 3V14', stroke: '#b0408a', 'stroke-width': 1.5 }]].forEach(([name, set]) => {
        const part = document.createElementNS(SVG, name);
        Object.entries(set).forEach(([key, value]) => part.setAttribute(key, value));
        g.append(part);
      });
      svg.append(g);
    });
  }
  document.addEventListener('click', (event) => {
    if (event.target.id !== 'photo') { return; }
    event.preventDefault();
    if (event.detail === 0) { return; }
    const all = corners();
    const scale = Number(all.dataset.scale);
    const box = event.target.getBoundingClientRect();
    const [x, y] = [(event.clientX - box.left) * scale, (event.clientY - box.top) * scale];
    const [xs, ys] = ['X', 'Y'].map((n) => [...all.querySelectorAll(`input[name="${n}"]`)]);
    let i = xs.findIndex((input) => input.value.trim() === '');
    if (i < 0) { i = xs.map((input, n) => Math.hypot(Number(input.value) - x, Number(ys[n].value) - y)).reduce((best, d, n, all2) => (d < all2[best] ? n : best), 0); }
    xs[i].value = round(x);
    ys[i].value = round(y);
    pins();
    const left = xs.filter((input) => input.value.trim() === '').length;
    const title = document.querySelector('.photo-page h1');
    if (title) { title.textContent = left === 0 ? 'Four corners. Straighten it.' : `Point at the four corners of the card or sheet: ${left} to go.`; }
  });
  document.addEventListener('input', (event) => { if (event.target.closest?.('#corners') && ['X', 'Y'].includes(event.target.name)) { pins(); } });
})();
