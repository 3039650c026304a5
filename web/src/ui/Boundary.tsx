import { Component, type ReactNode } from 'react';

interface Props {
  /** What is shown in the place of what failed. */
  instead: ReactNode;
  /** Another one: it is tried again. */
  of: unknown;
  children: ReactNode;
}

/** Keeps a part of the page that fails to itself: the rest stands. */
export class Boundary extends Component<Props, { failed: boolean; of: unknown }> {
  override state = { failed: false, of: this.props.of };

  static getDerivedStateFromError() {
    return { failed: true };
  }

  static getDerivedStateFromProps(props: Props, state: { failed: boolean; of: unknown }) {
    return props.of === state.of ? null : { failed: false, of: props.of };
  }

  override render() {
    return this.state.failed ? this.props.instead : this.props.children;
  }
}
