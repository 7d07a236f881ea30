import { cleanup, configure } from '@testing-library/react';
import { afterEach } from 'vitest';
import '@testing-library/jest-dom/vitest';
import 'fake-indexeddb/auto';

// The drawn page of the tests has no layout to scroll.
Element.prototype.scrollIntoView = () => undefined;

// Nor does it tell when something changes its size.
globalThis.ResizeObserver = class {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
};

configure({ asyncUtilTimeout: 30_000 });

afterEach(cleanup);
