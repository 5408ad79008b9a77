const HSTS = 'max-age=31536000; includeSubDomains';

/** What a browser may load and do. @param nonce of this answer alone: scripts and styles that do not carry it are not run */
export function contentSecurityPolicy(nonce: string): string {
  return [
    `default-src 'self'`,
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'`,
    `style-src 'self' 'nonce-${nonce}'`,
    // React writes style attributes on the server; they can hold no script.
    `style-src-attr 'unsafe-inline'`,
    `img-src 'self' data: blob:`,
    `font-src 'self'`,
    `connect-src 'self'`,
    `worker-src 'self' blob:`,
    `object-src 'none'`,
    `base-uri 'none'`,
    `form-action 'self'`,
    `frame-ancestors 'none'`,
  ].join('; ');
}

/** The headers of every answer. @param isTls a browser that came over TLS is told to keep to it */
export function securityHeaders(policy: string, requestId: string, isTls: boolean): Record<string, string> {
  return {
    'content-security-policy': policy,
    'x-content-type-options': 'nosniff',
    'referrer-policy': 'same-origin',
    'permissions-policy': 'camera=(self), geolocation=(), microphone=()',
    'cross-origin-opener-policy': 'same-origin',
    'x-request-id': requestId,
    ...(isTls ? { 'strict-transport-security': HSTS } : {}),
  };
}
