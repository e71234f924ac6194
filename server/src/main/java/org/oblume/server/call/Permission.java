package org.oblume.server.call;

/** What a role can allow. */
public enum Permission {
    /** See everything that is recorded. */
    READ,
    /** Write notes and takes, put in stills, tick off. */
    NOTE,
    /** Edit the patch, and recall. */
    PATCH,
    /** Edit everything else of the record. */
    EDIT,
    /** Say who works on it. */
    LEAD
}
