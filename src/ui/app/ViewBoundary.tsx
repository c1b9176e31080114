'use client';
import { Component, type ReactNode } from 'react';
import { BrokeDown } from './BrokeDown';

interface State {
  fault: unknown;
}

/** Where a view breaks down, that is told with ways on; the rest of the page goes on. */
export class ViewBoundary extends Component<{ children: ReactNode }, State> {
  override state: State = { fault: undefined };

  static getDerivedStateFromError(fault: unknown): State {
    return { fault: fault ?? new Error('it does not say') };
  }

  override render() {
    if (this.state.fault === undefined) return this.props.children;
    return <BrokeDown fault={this.state.fault} again={() => this.setState({ fault: undefined })} />;
  }
}
