import { Component, type ReactNode } from 'react';
import { Lost } from './Lost';

/** Keeps one broken part from taking the rest of the page with it. */
export class Guard extends Component<{ children: ReactNode; instead?: ReactNode }, { broke: string | null }> {
  override state: { broke: string | null } = { broke: null };

  static getDerivedStateFromError(error: unknown): { broke: string } {
    return { broke: error instanceof Error ? error.message : '' };
  }

  override render(): ReactNode {
    if (this.state.broke === null) return this.props.children;
    return this.props.instead ?? <Lost broke={this.state.broke} />;
  }
}
