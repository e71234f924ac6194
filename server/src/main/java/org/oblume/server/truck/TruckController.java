package org.oblume.server.truck;

import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.truck.TruckViews.DayKitView;
import org.oblume.server.truck.TruckViews.DayStandIns;
import org.oblume.server.truck.TruckViews.FreeUnits;
import org.oblume.server.truck.TruckViews.KitAhead;
import org.oblume.server.truck.TruckViews.SceneKitView;
import org.oblume.server.truck.TruckViews.ShotKitView;
import org.oblume.server.truck.TruckViews.UnitPage;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is needed of the kit. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class TruckController {

    private final TruckService truck;
    private final UnitPages units;

    TruckController(TruckService truck, UnitPages units) {
        this.truck = truck;
        this.units = units;
    }

    @GetMapping("/productions/{productionId}/days/{number}/kit")
    DayKitView dayKit(@PathVariable long productionId, @PathVariable int number) {
        return truck.ofDay(productionId, number);
    }

    /** What could stand in for what is short or away that day. */
    @GetMapping("/productions/{productionId}/days/{number}/kit/stand-ins")
    DayStandIns dayStandIns(@PathVariable long productionId, @PathVariable int number) {
        return truck.standIns(productionId, number);
    }

    /** What is short on each day, and which filters are worn. */
    @GetMapping("/productions/{productionId}/kit/ahead")
    KitAhead kitAhead(@PathVariable long productionId) {
        return truck.ahead(productionId);
    }

    @GetMapping("/productions/{productionId}/kit/units/{id}")
    UnitPage kitUnit(@PathVariable long productionId, @PathVariable long id) {
        return units.of(productionId, id);
    }

    @GetMapping("/shots/{shotId}/kit")
    ShotKitView shotKit(@PathVariable long shotId) {
        return truck.ofShot(shotId);
    }

    @GetMapping("/shots/{shotId}/kit/free")
    FreeUnits freeUnits(@PathVariable long shotId) {
        return truck.free(shotId);
    }

    @GetMapping("/scenes/{sceneId}/kit")
    SceneKitView sceneKit(@PathVariable long sceneId) {
        return truck.ofScene(sceneId);
    }
}
