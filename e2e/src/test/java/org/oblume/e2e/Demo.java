package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

/** What several tests do with the demo scenes before they begin. */
final class Demo {

    private Demo() {}

    /** Opens revisions of 4A and 4B, which were shot, so that the wide can be edited. */
    static void openTheWideForChanges(Browser crew) {
        crew.open("/");
        assertThat(
                        crew.fetch(
                                """
                const answers = await Promise.all([2, 1].map((id) => fetch(`/api/shots/${id}/revisions`, { method: 'POST',
                  headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ reason: 'Lit again' }) })))
                return answers.map((a) => a.status).join()"""))
                .isEqualTo("201,201");
    }
}
