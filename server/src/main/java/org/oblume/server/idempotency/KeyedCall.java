package org.oblume.server.idempotency;

/**
 * A call that bears a key.
 *
 * @param id person and key
 * @param what method and path
 */
record KeyedCall(String id, String person, String what) {

    /** Request attribute that tells the handler's adapter that this call is done once. */
    static final String ATTRIBUTE = KeyedCall.class.getName();
}
