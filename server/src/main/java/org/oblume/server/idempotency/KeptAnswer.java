package org.oblume.server.idempotency;

import org.jspecify.annotations.Nullable;

/** What a call was answered with. */
record KeptAnswer(int status, @Nullable String contentType, @Nullable String etag, byte[] body) {}
