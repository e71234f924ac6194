package org.oblume.server.set;

import org.oblume.server.support.NotFoundException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pictures that lie under a plan. */
@Service
@Transactional
class PictureService {

    private final SetService sets;
    private final PictureRepository pictures;

    PictureService(SetService sets, PictureRepository pictures) {
        this.sets = sets;
        this.pictures = pictures;
    }

    /** @param id to name it by in an underlay */
    record Kept(long id, double widthPx, double heightPx) {}

    Kept keep(long setId, byte[] bytes) {
        sets.get(setId);
        PictureFile file = PictureFile.of(bytes);
        return new Kept(pictures.save(new PictureEntity(setId, file)).id(), file.widthPx(), file.heightPx());
    }

    @Transactional(readOnly = true)
    PictureFile get(long id) {
        return pictures.findById(id)
                .map(PictureEntity::toFile)
                .orElseThrow(() -> new NotFoundException("There is no such picture."));
    }
}
