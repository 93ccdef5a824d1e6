/** Where something stands that is at an edge. */
export const edges: Record<string, object> = {
  left: { left: 0 },
  right: { right: 0 },
  top: { top: 0 },
  bottom: { bottom: 0 },
};
