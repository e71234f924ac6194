package org.oblume.server.book;

import java.security.Principal;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.production.Production;
import org.oblume.server.production.ProductionService;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class BookController {

    private final BookService book;
    private final ProductionService productions;

    BookController(BookService book, ProductionService productions) {
        this.book = book;
        this.productions = productions;
    }

    record NewProduction(String name, int days) {}

    /** @param shotId the first shot of the new scene */
    record StartedScene(long shotId) {}

    @GetMapping("/book")
    BookView book() {
        return book.book();
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.BOOK)
    @PostMapping("/productions")
    @ResponseStatus(HttpStatus.CREATED)
    Production startProduction(@RequestBody NewProduction body) {
        return productions.create(body.name(), body.days());
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.BOOK)
    @PostMapping("/productions/{productionId}/scenes")
    @ResponseStatus(HttpStatus.CREATED)
    StartedScene startScene(@PathVariable long productionId, @RequestBody NewScene body, Principal person) {
        return new StartedScene(book.startScene(productionId, body, person.getName()));
    }
}
