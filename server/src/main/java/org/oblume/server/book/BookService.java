package org.oblume.server.book;

import java.util.ArrayList;
import java.util.List;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.StartValues;
import org.oblume.server.production.Production;
import org.oblume.server.production.ProductionService;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneHeading;
import org.oblume.server.scene.SceneService;
import org.oblume.server.set.SetService;
import org.oblume.server.set.StageSet;
import org.oblume.server.shot.KnotService;
import org.oblume.server.shot.PlotService;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotCard;
import org.oblume.server.shot.ShotLine;
import org.oblume.server.shot.ShotService;
import org.oblume.server.shot.StoredScenes;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

@Service
@Transactional
public class BookService {

    /** A sensor of the usual cinema width, metres. */
    private static final double SENSOR_WIDTH_M = 0.0249;

    private static final double PERSON_WIDTH_M = 0.5;

    private final ProductionService productions;
    private final SceneService scenes;
    private final SetService sets;
    private final ShotService shots;
    private final StoredScenes records;
    private final PlotService plots;
    private final KnotService knots;

    BookService(
            ProductionService productions,
            SceneService scenes,
            SetService sets,
            ShotService shots,
            StoredScenes records,
            PlotService plots,
            KnotService knots) {
        this.productions = productions;
        this.scenes = scenes;
        this.sets = sets;
        this.shots = shots;
        this.records = records;
        this.plots = plots;
        this.knots = knots;
    }

    @Transactional(readOnly = true)
    BookView book() {
        return new BookView(productions.all().stream().map(this::page).toList());
    }

    /** A scene in a bare room with a landmark in each corner, or in a set that is there, with a camera, a mark and its first shot. */
    long startScene(long productionId, NewScene wanted, String author) {
        Production production = productions.get(productionId);
        SceneHeading heading =
                new SceneHeading(wanted.number(), wanted.heading(), wanted.location(), wanted.buildOrder());
        long setId = wanted.setId() == null
                ? sets.keep(
                        production.id(),
                        new StageSet(
                                heading.location(),
                                SetPlan.start(wanted.roomWidth(), wanted.roomDepth(), wanted.ceiling())))
                : sets.get(wanted.setId()).id();
        SetPlan plan = sets.get(setId).set().plan();
        Placement mark = new Placement(
                "mark-1",
                "Mark 1",
                PlacementKind.MARK,
                Role.SUBJECT,
                null,
                new Piece("Person", null, PERSON_WIDTH_M, null, null, 0, Mount.FLOOR));
        Placement camera = new Placement(
                "camera",
                "Camera",
                PlacementKind.CAMERA,
                Role.CAMERA,
                null,
                new Piece("Camera", null, SENSOR_WIDTH_M, null, null, 0, Mount.STAND));
        Scene scene = scenes.create(production.id(), setId, heading, List.of(mark, camera));
        Shot shot =
                shots.create(scene.id(), new ShotCard(wanted.firstSlate(), "", null, ShotStage.PLANNED, null), author);
        Place cameraAt = plan.roomFor(0.5, 1.0 / 6);
        List<Knot> tied = new ArrayList<>(plots.startKnots(
                shot.card().slate(),
                mark,
                StartValues.of(mark, plan.roomFor(0.5, 2.0 / 3), 0, null, cameraAt, Modifiers.NONE),
                null,
                author));
        tied.addAll(plots.startKnots(
                shot.card().slate(),
                camera,
                StartValues.of(camera, cameraAt, 0, mark.key(), null, Modifiers.NONE),
                null,
                author));
        knots.recordAll(records.of(scene.id()), tied);
        return shot.id();
    }

    private BookView.ProductionPage page(Production production) {
        return new BookView.ProductionPage(
                production,
                scenes.ofProduction(production.id()).stream()
                        .map(scene -> new BookView.ScenePage(
                                scene.id(),
                                scene.heading(),
                                scene.closedAt(),
                                records.lines(scene.id()).stream()
                                        .map(BookService::line)
                                        .toList()))
                        .toList());
    }

    private static BookView.BookShot line(ShotLine line) {
        Shot shot = line.shot();
        ShotCard card = shot.card();
        return new BookView.BookShot(
                shot.id(),
                card.slate(),
                card.description(),
                card.day(),
                card.stage(),
                card.basedOnId(),
                line.basedOn(),
                shot.version(),
                line.touched(),
                line.recorded());
    }
}
