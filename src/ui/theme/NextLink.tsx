'use client';

// The framework's link, made passable as a `component` from server components.
export { default } from 'next/link';
