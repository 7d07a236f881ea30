import type { ComponentProps } from 'react';
import { RouterProvider } from 'react-router';

/**
 * The place of the address, shown at once. Shown as a transition, it would lag behind the address on a slow device, and what is chosen
 * next would go on the place before: two choices in a row would leave the second alone.
 */
export const Routed = ({ router }: { router: ComponentProps<typeof RouterProvider>['router'] }) => (
  <RouterProvider router={router} useTransitions={false} />
);
